import type { Clearance } from '../../fit/clearance.js'
import { customary } from '../../length/unit.js'
import type { Job } from '../contract.js'
import type { ResolvedOptions, TurnedFlapOptions } from './options.js'
import type { Body } from './size.js'

/**
 * What a make must keep beside its fit: flaps from which no board slips, 1 in. The folds are set on the book, so each
 * flap gets half of what the strip’s ends and the book’s wrap leave. Source: docs/craft.md, Chance of fitting.
 */
export function flapRooms(
  { unit }: Job<TurnedFlapOptions>,
  { flap, fitWidth }: Body,
  { construction }: ResolvedOptions,
): readonly Clearance[] {
  if (construction === 'single') return []
  return [
    {
      name: 'flap',
      direction: 'width',
      room: flap,
      errs: fitWidth.errs,
      making: { cutEdges: 2, seamLines: 2, foldLines: 2, takenUp: fitWidth.making.takenUp },
      parts: 2,
      thing: 0,
      works: [{ from: customary(1, unit) }],
    },
  ]
}

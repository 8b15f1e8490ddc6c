import { findingWhen, type Finding } from '../../finding/finding.js'
import { checkFit } from '../../fit/fit.js'
import { checkFlapDepth } from '../../fit/flap-checks.js'
import { customary } from '../../length/unit.js'
import { checkWidthKnown, flapJobOf } from '../book.js'
import type { Job } from '../contract.js'
import type { ResolvedOptions, TurnedFlapOptions } from './options.js'
import type { Body } from './size.js'

/** Source: docs/craft.md, Cover with turned flaps. A depth that was asked for is judged as it was asked for. */
export function checkTurnedFlaps(
  job: Job<TurnedFlapOptions>,
  { fitWidth, fitHeight, flap }: Body,
  { flapDepth, innerHalf }: ResolvedOptions,
): readonly Finding[] {
  const least = customary(3 / 2, job.unit)
  const asked = job.sizing.mode === 'computed' ? flapDepth : flap
  return [
    // its folds are set on the book: tight as it is, no seam can be sewn too wide for it
    ...checkFit(fitWidth).filter(({ code }) => code !== 'drum-tight'),
    ...checkFit(fitHeight),
    ...checkFlapDepth({ ...flapJobOf(job), innerHalf }, asked),
    ...checkWidthKnown(job.object),
    ...findingWhen(
      flap < least,
      'flap-too-shallow',
      'option:flapDepth',
      { depth: flap, least },
      job.sizing.mode === 'computed'
        ? { kind: 'set-option', option: 'flapDepth', name: 'flaps', length: least }
        : undefined,
    ),
  ]
}

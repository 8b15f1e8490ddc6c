import { toMm } from '../../length/length.js'
import { has } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { bastingMinutes, pressingMinutes } from '../../make/minutes.js'
import type { ExtraWork } from '../contract.js'

/** A folded strip behind the zip, basted to the lining’s edge before the zip goes on. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const [strip] = work.ownPieces
  if (!strip) return []
  const lining = has(work, 'lining') ? 'lining' : 'outer'
  const long = toMm(strip.width.cut)
  return [
    {
      id: `baste-${strip.id}`,
      kind: 'baste',
      place: 'machine',
      minutes: pressingMinutes(long) + bastingMinutes(long),
      stitchedMm: long,
      name: 'Fold and baste the zip guard',
      does: `Fold the strip along its length, press, baste its raw edges to the ${lining}’s edge where the zip will be.`,
      why: 'It keeps the teeth off the thing.',
      pieces: [strip.id, lining],
      tools: ['iron', 'sewing machine'],
      cautions: ['hot-iron', 'needles', 'devices'],
      on: { piece: lining, stage: 'dress' },
    },
  ]
}

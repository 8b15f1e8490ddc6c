import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { mm, negate, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { times } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { alongEnds, alongEdge, closureEnds, groundAround, offEnd, refusesBesideZip } from '../closure.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface HoleTieOptions extends Place {
  readonly tail?: Length | undefined
}

/** A hole at each fore-edge; one ribbon, halved, each half looped through itself. Source: docs/craft.md, Closures. */
export const holeTie = defineExtra<HoleTieOptions>({
  type: 'hole-tie',
  version: 1,
  words: {
    name: 'Ties through holes',
    summary: 'A punched hole at each fore-edge, a ribbon looped through itself.',
  },
  group: 'closure',
  refuses: traits =>
    refusesBesideZip(traits) ??
    (traits.includes('device') ? 'a hole would let the device be scratched.' : undefined),
  places: alongEnds,
  options: unit =>
    z.strictObject({
      tail: lengthOption(
        unit,
        { min: mm(30), max: mm(600) },
        { label: 'Tail', help: 'What hangs from each hole. {8 in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { unit, grid, options } = job
    const tail = options.tail ?? customary(8, unit)
    const inset = customary(1 / 2, unit)
    const diameter = mm(5)
    const holes = closureEnds(job, options).map(end => ({
      at: offEnd(end, negate(inset)),
      diameter,
      punched: true as const,
    }))
    return extraPlan({
      notions: [
        {
          id: 'ribbon',
          kind: 'ribbon',
          count: 1,
          length: sideRoundedUp(times(4, 'four times the tail', tail), grid),
          measureFirst: false,
        },
      ],
      holes,
      notes: [
        { label: 'holes across', length: diameter },
        { label: 'in from each fore-edge', length: inset },
        alongEdge(job, options),
      ],
      lines: closureEnds(job, options).map(end => ({
        kind: 'tie' as const,
        from: offEnd(end, negate(inset)),
        to: offEnd(end, customary(2, unit)),
      })),
      footprints: holes.map(({ at }) => groundAround(at, diameter)),
    })
  },
})

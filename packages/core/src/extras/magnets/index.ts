import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { findingWhen } from '../../finding/finding.js'
import { mm, negate, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { alongEnds, alongEdge, closureEnds, groundAround, offEnd, refusesBesideZip } from '../closure.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface MagnetsOptions extends Place {
  readonly diameter?: Length | undefined
  readonly fromSensor?: Length | undefined
}

/** A pair of magnets, 2 in or more from a device's sleep sensor. Source: docs/craft.md, For devices. */
export const magnets = defineExtra<MagnetsOptions>({
  type: 'magnets',
  version: 1,
  words: {
    name: 'Pair of magnets',
    summary: 'Close the mouth or the flap. Keep them from children, cards, implants and sleep sensors.',
  },
  group: 'device',
  refuses: refusesBesideZip,
  places: alongEnds,
  options: unit =>
    z.strictObject({
      diameter: lengthOption(
        unit,
        { min: mm(3), max: mm(40) },
        { label: 'Magnet', help: 'Across. {½ in} unless set.' },
      ),
      fromSensor: lengthOption(
        unit,
        { min: zero, max: mm(500) },
        { label: 'To the sleep sensor', help: 'Of a device, measured on it. {2 in} is safe.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { unit, options, about } = job
    const diameter = options.diameter ?? customary(1 / 2, unit)
    const least = customary(2, unit)
    const distance = options.fromSensor ?? least
    const holes = closureEnds(job, options).map(end => ({
      at: offEnd(end, negate(customary(3 / 4, unit))),
      diameter,
    }))
    return extraPlan({
      notions: [{ id: 'magnet', kind: 'magnet', count: 2, measureFirst: false }],
      holes,
      notes: [
        { label: 'magnets across', length: diameter },
        { label: 'in from each edge', length: customary(3 / 4, unit) },
        alongEdge(job, options),
      ],
      footprints: holes.map(({ at }) => ({ ...groundAround(at, diameter), crossesFolds: false })),
      findings: findingWhen(distance < least, 'magnet-near-sensor', about, { distance, least }),
    })
  },
})

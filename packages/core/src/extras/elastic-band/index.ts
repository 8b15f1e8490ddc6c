import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { placePanels } from '../../families/strip.js'
import { add, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { because, less, twice } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { closedThickness, refusesClosure } from '../closure.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place, fixedPlace } from '../place-keys.js'
import { placeOptions } from '../place.js'

/** As wide as is usual. */
const width = mm(6)

interface ElasticBandOptions extends Place {
  readonly fromEdge?: Length | undefined
}

/** 0.92·(finished height + 2T) + 2·seam, over the front from head to tail. Source: docs/craft.md, Closures. */
export const elasticBand = defineExtra<ElasticBandOptions>({
  type: 'elastic-band',
  version: 1,
  words: { name: 'Elastic band', summary: 'A band from head to tail of the back, pulled over the front.' },
  group: 'closure',
  refuses: refusesClosure,
  places: fixedPlace,
  options: unit =>
    z.strictObject({
      fromEdge: lengthOption(
        unit,
        { min: mm(3), max: mm(400) },
        { label: 'In from the fore-edge', help: '{1 in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { cover, object, seam, unit, grid, options } = job
    const high = cover.fits.find(({ direction }) => direction === 'height')?.finished ?? cover.strip.height
    const around = add(high, scale(closedThickness(object), 2))
    const length = sideRoundedUp(
      [
        ...because('finished height', high),
        ...twice('thickness', closedThickness(object)),
        ...less('8 % to stretch', scale(around, 0.08)),
        ...twice('seam', seam),
      ],
      grid,
    )
    const front = placePanels(cover.strip.panels).findLast(
      ({ kind }) => kind !== 'flap' && kind !== 'fore-edge',
    )
    const edge = front ? add(front.x, front.width) : zero
    const x = subtract(edge, options.fromEdge ?? customary(1, unit))
    return extraPlan({
      notes: [{ label: 'in from the fore-edge', length: options.fromEdge ?? customary(1, unit) }],
      notions: [{ id: 'elastic', kind: 'elastic', count: 1, length, width, measureFirst: true }],
      lines: [{ kind: 'elastic', from: [x, zero], to: [x, cover.strip.height], face: 'outside' }],
      footprints: [
        {
          at: [subtract(x, scale(width, 1 / 2)), zero],
          width,
          height: cover.strip.height,
          face: 'outside',
          crossesFolds: true,
          atEdge: true,
        },
      ],
    })
  },
})

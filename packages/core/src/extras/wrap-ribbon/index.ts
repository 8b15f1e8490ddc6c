import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { totalWidth } from '../../families/strip.js'
import { findingWhen } from '../../finding/finding.js'
import { add, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { because, type Reason } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { closedThickness, refusesGlued } from '../closure.js'
import { defineExtra, extraPlan, type ExtraJob } from '../contract.js'
import { type Place } from '../place-keys.js'
import { placeOptions } from '../place.js'

/** As wide as is usual. */
const width = mm(10)

interface WrapRibbonOptions extends Place {
  readonly length?: Length | undefined
}

/** Half as much again as the way round, caught at the flap. Source: docs/craft.md, Closures. */
export const wrapRibbon = defineExtra<WrapRibbonOptions>({
  type: 'wrap-ribbon',
  version: 1,
  words: {
    name: 'Wrap-round ribbon',
    summary: 'A long ribbon caught at the flap, wound round and tucked under.',
  },
  group: 'closure',
  refuses: traits => (traits.includes('device') ? 'a pouch has no flap to catch it.' : refusesGlued(traits)),
  places: () => ['y'],
  options: unit =>
    z.strictObject({
      length: lengthOption(
        unit,
        { min: mm(100), max: mm(5000) },
        { label: 'Length', help: 'Once round and half as much again unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { options, cover, grid, about } = job
    const girth = girthOf(job)
    const reasons: readonly Reason[] =
      options.length === undefined
        ? [...because('once round', girth), ...because('and half as much again', scale(girth, 1 / 2))]
        : because('length as set', options.length)
    const length = sideRoundedUp(reasons, grid)
    const total = totalWidth(cover.strip.panels)
    const y =
      options.y === undefined ? scale(cover.strip.height, 1 / 2) : subtract(cover.strip.height, options.y)
    return extraPlan({
      notes: [{ label: 'middle from the lower edge', length: subtract(cover.strip.height, y) }],
      notions: [{ id: 'wrap-ribbon', kind: 'ribbon', count: 1, length, width, measureFirst: false }],
      lines: [
        {
          kind: 'ribbon',
          from: [zero, y],
          to: [add(total, scale(total, 0.06)), y],
          face: 'outside',
        },
      ],
      footprints: [
        {
          at: [zero, subtract(y, scale(width, 1 / 2))],
          width: total,
          height: width,
          face: 'outside',
          crossesFolds: true,
        },
      ],
      findings: findingWhen(length.exact < girth, 'extra-too-short', about, {
        extra: 'The ribbon',
        has: length.exact,
        needs: girth,
      }),
    })
  },
})

/** Round the closed cover: all but its flap, and the open fore-edge where no panel covers it. */
function girthOf({ cover, object }: ExtraJob<WrapRibbonOptions>): Length {
  const { panels } = cover.strip
  const around = totalWidth(panels.filter(({ kind }) => kind !== 'flap'))
  return panels.some(({ kind }) => kind === 'fore-edge') ? around : add(around, closedThickness(object))
}

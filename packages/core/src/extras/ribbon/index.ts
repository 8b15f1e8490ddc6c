import { z } from 'zod'
import { totalWidth } from '../../families/strip.js'
import { scale, subtract, zero } from '../../length/length.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place } from '../place-keys.js'
import { placeOptions } from '../place.js'

/** A ribbon across the outside, as long as the outer is cut wide. Source: docs/craft.md, Trimmings. */
export const ribbon = defineExtra<Place>({
  type: 'ribbon',
  version: 1,
  words: {
    name: 'Ribbon across',
    summary: 'A ribbon stitched across the outside before the layers are joined.',
  },
  group: 'trimming',
  refuses: () => undefined,
  places: () => ['y'],
  options: unit => z.strictObject(placeOptions(unit)),
  plan: ({ cover: { strip, pieces }, grid, options }) => {
    const outer = pieces.find(({ id }) => id === 'outer')
    if (!outer) return extraPlan({})
    const y = options.y === undefined ? scale(strip.height, 0.8) : subtract(strip.height, options.y)
    return extraPlan({
      notes: [{ label: 'from the lower edge', length: subtract(strip.height, y) }],
      notions: [
        {
          id: 'trim-ribbon',
          kind: 'ribbon',
          count: outer.count,
          length: sideRoundedUp(becauseOfCut('outer’s cut width', outer.width), grid),
          measureFirst: false,
        },
      ],
      lines: [{ kind: 'ribbon', from: [zero, y], to: [totalWidth(strip.panels), y], face: 'outside' }],
    })
  },
})

import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { placePanels } from '../../families/strip.js'
import { mm, scale, zero, add, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { largestReading } from '../../object/reading.js'
import { because } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place, fixedPlace } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface BookmarkOptions extends Place {
  readonly length?: Length | undefined
}

/** The height and 4 in, caught at the head of the spine. Source: docs/craft.md, Trimmings. */
export const bookmark = defineExtra<BookmarkOptions>({
  type: 'bookmark',
  version: 1,
  words: {
    name: 'Bookmark',
    summary: 'A ribbon caught at the head of the spine, {4 in} longer than the page.',
  },
  group: 'trimming',
  refuses: traits => (traits.includes('device') ? 'a device has no pages.' : undefined),
  places: fixedPlace,
  options: unit =>
    z.strictObject({
      length: lengthOption(
        unit,
        { min: mm(50), max: mm(1500) },
        { label: 'Length', help: 'The height and {4 in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: ({ object, unit, grid, options, cover }) => {
    const high = largestReading(object, 'height') ?? largestReading(object, 'pageHeight') ?? zero
    const reasons =
      options.length === undefined
        ? [...because('height of the book', high), ...because('to hang out', customary(4, unit))]
        : because('length as set', options.length)
    const spine = placePanels(cover.strip.panels).find(({ kind }) => kind === 'spine' || kind === 'body')
    const x = spine ? add(spine.x, scale(spine.width, 1 / 2)) : zero
    return extraPlan({
      notions: [
        {
          id: 'bookmark',
          kind: 'ribbon',
          count: 1,
          length: sideRoundedUp(reasons, grid),
          measureFirst: false,
        },
      ],
      notes: [{ label: 'from the left edge', length: x }],
      lines: [{ kind: 'ribbon', from: [x, zero], to: [x, cover.strip.height], face: 'inside' }],
    })
  },
})

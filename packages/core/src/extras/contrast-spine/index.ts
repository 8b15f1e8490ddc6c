import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { placePanels } from '../../families/strip.js'
import { findingWhen } from '../../finding/finding.js'
import { add, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { because, twice } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place, fixedPlace } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface ContrastSpineOptions extends Place {
  readonly overBoard?: Length | undefined
}

/** A strip over the spine and 1 in onto each board, turned under ¼ in. Source: docs/craft.md, Trimmings. */
export const contrastSpine = defineExtra<ContrastSpineOptions>({
  type: 'contrast-spine',
  version: 1,
  words: {
    name: 'Contrast spine',
    summary: 'A strip of other cloth over the spine and a little onto each board.',
  },
  group: 'trimming',
  refuses: traits => (traits.includes('device') ? 'a case for a device has no spine.' : undefined),
  places: fixedPlace,
  options: unit =>
    z.strictObject({
      overBoard: lengthOption(
        unit,
        { min: zero, max: mm(200) },
        { label: 'Onto each board', help: '{1 in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: ({ cover: { strip, pieces }, unit, grid, options, about }) => {
    const spine = placePanels(strip.panels).find(({ kind }) => kind === 'spine')
    const outer = pieces.find(({ id }) => id === 'outer')
    if (!spine || !outer)
      return extraPlan({
        findings: findingWhen(true, 'extra-not-carried', about, {
          extra: 'Contrast spine',
          why: 'the spine is not known; measure the thickness.',
        }),
      })
    const onto = options.overBoard ?? customary(1, unit)
    const width = add(spine.width, scale(onto, 2))
    return extraPlan({
      notes: [{ label: 'onto each board', length: onto }],
      pieces: [
        {
          id: 'contrast-spine',
          role: 'trim',
          count: 1,
          width: sideRoundedUp(
            [
              ...because('the spine', spine.width),
              ...twice('onto each board', onto),
              ...twice('turned under', customary(1 / 4, unit)),
            ],
            grid,
          ),
          height: sideRoundedUp(becauseOfCut('outer’s cut height', outer.height), grid),
        },
      ],
      shapes: [
        {
          piece: 'contrast-spine',
          name: 'contrast spine',
          face: 'outside',
          at: [subtract(spine.x, onto), zero],
          width,
          height: strip.height,
        },
      ],
    })
  },
})

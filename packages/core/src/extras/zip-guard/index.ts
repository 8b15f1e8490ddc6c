import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { mm, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { because } from '../../piece/reason.js'
import { becauseOfCut, sideRoundedUp } from '../../piece/side.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place, fixedPlace } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface ZipGuardOptions extends Place {
  readonly width?: Length | undefined
}

/** A strip behind the zip, so that its teeth do not scratch. Source: docs/craft.md, For devices. */
export const zipGuard = defineExtra<ZipGuardOptions>({
  type: 'zip-guard',
  version: 1,
  words: { name: 'Zip guard', summary: 'A folded strip behind the zip keeps its teeth off what is inside.' },
  group: 'device',
  refuses: traits => (traits.includes('zipped') ? undefined : 'there is no zip to guard.'),
  places: fixedPlace,
  options: unit =>
    z.strictObject({
      width: lengthOption(
        unit,
        { min: mm(15), max: mm(120) },
        { label: 'Strip', help: 'Cut width, folded double. {2 in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: ({ cover, unit, grid, options }) => {
    const zip = cover.notions.find(({ kind }) => kind === 'zip')?.length
    if (!zip) return extraPlan({})
    return extraPlan({
      notes: [{ label: 'along the zip', length: zip.cut }],
      pieces: [
        {
          id: 'zip-guard',
          role: 'lining',
          count: 1,
          width: sideRoundedUp(becauseOfCut('length of the zip', zip), grid),
          height: sideRoundedUp(because('strip, folded double', options.width ?? customary(2, unit)), grid),
        },
      ],
    })
  },
})

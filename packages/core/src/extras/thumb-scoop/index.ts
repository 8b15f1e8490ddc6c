import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { placePanels } from '../../families/strip.js'
import { add, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place, fixedPlace } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface ThumbScoopOptions extends Place {
  readonly depth?: Length | undefined
}

/** ¾ in deep in the middle of the mouth, both walls. Source: docs/craft.md, For devices. */
export const thumbScoop = defineExtra<ThumbScoopOptions>({
  type: 'thumb-scoop',
  version: 1,
  words: {
    name: 'Thumb scoop',
    summary: 'A shallow curve in the mouth, so that thumb and finger find the device.',
  },
  group: 'device',
  refuses: traits => (traits.includes('open-top') ? undefined : 'only an open mouth can be scooped.'),
  places: fixedPlace,
  options: unit =>
    z.strictObject({
      depth: lengthOption(unit, { min: mm(5), max: mm(60) }, { label: 'Depth', help: '{¾ in} unless set.' }),
      ...placeOptions(unit),
    }),
  plan: ({ cover: { strip }, unit, options }) => {
    const depth = options.depth ?? customary(3 / 4, unit)
    const wide = scale(depth, 3)
    const walls = placePanels(strip.panels).filter(({ kind }) => kind === 'wall')
    return extraPlan({
      notes: [
        { label: 'scoop wide', length: wide },
        { label: 'deep', length: depth },
      ],
      shapes: walls.map(({ x, width }) => ({
        piece: 'outer',
        name: 'scoop',
        face: 'outside' as const,
        at: [add(x, scale(subtract(width, wide), 1 / 2)), zero] as const,
        width: wide,
        height: depth,
      })),
    })
  },
})

import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { add, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { because, twice } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place } from '../place-keys.js'
import { findGround, placeOptions } from '../place.js'

interface PortNotchOptions extends Place {
  readonly plug?: Length | undefined
}

/** The plug and ½ in, faced, at the foot of a wall. Source: docs/craft.md, For devices. */
export const portNotch = defineExtra<PortNotchOptions>({
  type: 'port-notch',
  version: 1,
  words: {
    name: 'Notch for the port',
    summary: 'A faced notch at the foot, so that a cable goes in. Never charge in a padded case.',
  },
  group: 'device',
  refuses: traits => (traits.includes('device') ? undefined : 'only a device has a port.'),
  places: () => ['x'],
  options: unit =>
    z.strictObject({
      plug: lengthOption(
        unit,
        { min: mm(3), max: mm(60) },
        { label: 'Plug', help: 'Across. {½ in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: ({ cover, unit, grid, options }) => {
    const half = customary(1 / 2, unit)
    const wide = add(options.plug ?? half, half)
    const ground = findGround(cover, undefined, ['outer'])
    const left = options.x ?? scale(subtract(ground?.width ?? zero, wide), 1 / 2)
    const at = [add(ground?.at[0] ?? zero, left), subtract(cover.strip.height, half)] as const
    return extraPlan({
      notes: [
        { label: 'notch wide', length: wide },
        { label: 'deep', length: half },
        { label: 'from the left', length: left },
      ],
      pieces: [
        {
          id: 'port-notch',
          role: 'lining',
          count: 2,
          width: sideRoundedUp(
            [...because('plug', options.plug ?? half), ...because('room', half), ...twice('facing', half)],
            grid,
          ),
          height: sideRoundedUp([...because('depth of the notch', half), ...twice('facing', half)], grid),
        },
      ],
      shapes: [{ piece: 'port-notch', name: 'notch', face: 'outside', at, width: wide, height: half }],
      footprints: [{ at, width: wide, height: half, face: 'outside', crossesFolds: true, atEdge: true }],
    })
  },
})

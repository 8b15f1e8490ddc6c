import { mm } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { layerOf } from '../../material/layer.js'
import type { Recipe } from '../contract.js'
import type { SleeveOptions } from './options.js'

export const recipes: readonly Recipe<SleeveOptions>[] = [
  {
    id: 'two-inches',
    name: 'Two inches, quilted',
    reason:
      'The device and {2 in} both ways, {2 ¼ in} over thick padding: quilted first, then trimmed to what is left.',
    price: 'What quilting takes up is a guess; trim only when the device was tried in.',
    seam: unit => customary(1 / 4, unit),
    sizing: ({ unit, stack }) => {
      const amount = customary((layerOf(stack, 'padding')?.thickness ?? 0) > mm(4) ? 2.25 : 2, unit)
      return { mode: 'rule', measure: 'device', addWidth: amount, addHeight: amount }
    },
    options: () => ({ edge: 'turned' }),
  },
  {
    id: 'bound-three-inches',
    name: 'Three inches, bound',
    reason: 'The device and {3 in} both ways with a wide seam: walls sewn together from outside and bound.',
    price: 'Generous: a slim device slides about.',
    seam: unit => boundSeam(unit),
    sizing: ({ unit }) => ({
      mode: 'rule',
      measure: 'device',
      addWidth: customary(3, unit),
      addHeight: customary(3, unit),
    }),
    options: () => ({ edge: 'bound' }),
  },
]

/** ⅝ in, or 15 mm: a wide seam that a binding covers. */
export function boundSeam(unit: Parameters<typeof customary>[1]) {
  return unit === 'in' ? customary(5 / 8, unit) : mm(15)
}

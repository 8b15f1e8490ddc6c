import { customary } from '../../length/unit.js'
import type { Recipe } from '../contract.js'
import type { ZipPouchOptions } from './options.js'

export const recipes: readonly Recipe<ZipPouchOptions>[] = [
  {
    id: 'two-inches',
    name: 'Two inches',
    reason: 'The device and {2 in} both ways; in doubt the larger size. Nothing to reckon.',
    price: 'Easy on a slim device, tight on one that is thicker than {1 in}.',
    seam: unit => customary(1 / 4, unit),
    sizing: ({ unit }) => ({
      mode: 'rule',
      measure: 'device',
      addWidth: customary(2, unit),
      addHeight: customary(2, unit),
    }),
    options: () => ({}),
  },
]

import { customary } from '../../length/unit.js'
import type { Recipe } from '../contract.js'
import type { FoldCaseOptions } from './options.js'

export const recipes: readonly Recipe<FoldCaseOptions>[] = [
  {
    id: 'inch-and-a-quarter',
    name: 'Inch and a quarter',
    reason: 'The device and {1 ¼ in} at each side, twice in length: cut without reckoning.',
    price: 'The fold takes what a thick device needs: its halves come out short.',
    seam: unit => customary(1 / 4, unit),
    sizing: ({ unit }) => ({
      mode: 'rule',
      measure: 'device',
      addWidth: customary(5 / 2, unit),
      addHeight: customary(5 / 2, unit),
    }),
    options: () => ({}),
  },
]

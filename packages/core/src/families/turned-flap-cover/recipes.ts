import { customary, type Unit } from '../../length/unit.js'
import { outerOf } from '../../material/layer.js'
import type { RuleSizing } from '../../fit/sizing.js'
import { scale } from '../../length/length.js'
import type { Recipe } from '../contract.js'
import type { TurnedFlapOptions } from './options.js'

export const recipes: readonly Recipe<TurnedFlapOptions>[] = [
  {
    id: 'wrap-and-five',
    name: 'Wrap and five',
    reason:
      'Wrap and {5 in} by height and {¾ in}: for soft covers, the interfacing laid in loose and fused after turning.',
    price: 'A thick or large book eats into the flaps. Sew a trial piece first, or take deeper flaps.',
    seam: unit => customary(1 / 4, unit),
    sizing: ({ unit }) => onWrap(unit, 5, 3 / 4),
    options: () => ({ construction: 'lined' }),
  },
  {
    id: 'fit-as-you-go',
    name: 'Fit as you go',
    reason:
      'One layer, cut wrap and {5 in} by height and {4 in}; every line is marked on the book before it is sewn. Nothing to reckon.',
    price: 'One line, one trying-on. Raw edges stay inside, and it cannot be cut ahead for a second book.',
    seam: unit => customary(1 / 4, unit),
    sizing: ({ unit }) => onWrap(unit, 5, 4),
    options: ({ unit }) => ({
      construction: 'single',
      endHem: customary(1 / 2, unit),
      headTailTurn: customary(2, unit),
    }),
  },
  {
    id: 'leather-look',
    name: 'Two inches all round',
    reason: 'Vinyl or felt, {2 in} more all round, hems left raw, stitched from outside and never turned.',
    price: 'The flaps come out shallow over thick boards. Cloth that frays needs its hems double.',
    seam: unit => customary(1 / 4, unit),
    sizing: ({ unit }) => onWrap(unit, 4, 4),
    options: ({ unit, stack }) => {
      const hem = customary(1 / 2, unit)
      const double = outerOf(stack).frays !== 'none'
      return { construction: 'single', endHem: double ? scale(hem, 2) : hem }
    },
  },
]

function onWrap(unit: Unit, width: number, height: number): RuleSizing {
  return {
    mode: 'rule',
    measure: 'wrap',
    addWidth: customary(width, unit),
    addHeight: customary(height, unit),
  }
}

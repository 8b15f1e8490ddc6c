import { add, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import type { RuleSizing } from '../../fit/sizing.js'
import { deriveInnerWidth } from '../../object/derive.js'
import type { CoveredObject } from '../../object/reading.js'
import type { Recipe } from '../contract.js'
import type { SlipCoverOptions } from './options.js'

export const recipes: readonly Recipe<SlipCoverOptions>[] = [
  {
    id: 'deep-flaps',
    name: 'Deep flaps',
    reason:
      'Open width and {1 in}, height and {½ in}, a seam of {⅛ in}: for thin stitched notebooks, held by flaps almost as wide as the cover.',
    price: 'Relies on the give of the cloth; the flaps are too deep for boards that do not fold back.',
    seam: unit => customary(1 / 8, unit),
    sizing: ({ unit }) => onOpenWidth(customary(1, unit), customary(1 / 2, unit)),
    options: ({ object, unit, seam }) => ({
      flapStyle: 'faced',
      flapDepth: facedDepth(subtract(innerWidth(object), customary(1 / 4, unit)), seam),
    }),
  },
  {
    id: 'inch-and-a-half',
    name: 'Inch and a half',
    reason: 'Open width and height and {1 ½ in} each, flaps cut {7 in} and folded: made for heavy cloth.',
    price: 'Loose in thin cloth. Large books want flaps cut {8 to 8 ½ in}.',
    seam: unit => customary(1 / 4, unit),
    sizing: ({ unit }) => onOpenWidth(customary(1.5, unit), customary(1.5, unit)),
    options: ({ unit, seam }) => ({
      flapStyle: 'folded',
      flapDepth: subtract(scale(customary(7, unit), 1 / 2), seam),
    }),
  },
  {
    id: 'two-inches',
    name: 'Two inches',
    reason:
      'Open width and height and {2 in} each with a {½ in} seam: easy to remember and forgiving to sew.',
    price: 'The flaps finish {½ in} short of three quarters of the width.',
    seam: unit => customary(1 / 2, unit),
    sizing: ({ unit }) => onOpenWidth(customary(2, unit), customary(2, unit)),
    options: ({ object, unit, seam }) => ({
      flapStyle: 'faced',
      flapDepth: facedDepth(threeQuartersAndHalf(object, unit), seam),
    }),
  },
]

function onOpenWidth(addWidth: Length, addHeight: Length): RuleSizing {
  return { mode: 'rule', measure: 'open', addWidth, addHeight }
}

/** A faced flap finishes two seams short of its cut. */
function facedDepth(cut: Length, seam: Length): Length {
  return subtract(cut, scale(seam, 2))
}

function threeQuartersAndHalf(object: CoveredObject, unit: Unit): Length {
  return add(scale(innerWidth(object), 3 / 4), customary(1 / 2, unit))
}

function innerWidth(object: CoveredObject): Length {
  return deriveInnerWidth(object) ?? zero
}

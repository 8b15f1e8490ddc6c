import { roundDownTo, roundUpTo, scale, tick, type Length } from '../length/length.js'

/** What a material loses when it is washed before it is cut. */
export interface Washing {
  /** Percent. */
  readonly shrinkage: number
  readonly washed: boolean
}

/** What is left of a length of cloth once it is washed. Source: docs/craft.md, Cutting. */
export function afterWash(length: Length, { shrinkage, washed }: Washing): Length {
  return washed ? length : roundDownTo(scale(length, 1 - shrinkage / 100), tick)
}

/** How much must be there before it is washed: length ÷ (1 − shrinkage). */
export function beforeWash(length: Length, { shrinkage, washed }: Washing): Length {
  return washed ? length : roundUpTo(scale(length, 1 / (1 - shrinkage / 100)), tick)
}

import { scale, type Length } from '../length/length.js'
import type { Role } from './role.js'

export const prints = ['none', 'one-way', 'two-way'] as const
export const fraying = ['none', 'some', 'much'] as const
export const stiffnesses = ['soft', 'medium', 'stiff'] as const
export type Stiffness = (typeof stiffnesses)[number]

/** What the computation needs to know of a material. Shares are 0–1; percentages 0–100. */
export interface Material {
  readonly role: Role
  readonly name: string
  readonly thickness: Length
  /** Share of the thickness that light pressure takes, 0–1. */
  readonly squash: number
  /** Stretch in percent; along is the height of a piece, across its width. */
  readonly stretchAlong: number
  readonly stretchAcross: number
  /** Percent lost in the first wash. */
  readonly shrinkage: number
  /** Percent of size lost when quilted. */
  readonly takeUp: number
  readonly print: (typeof prints)[number]
  readonly frays: (typeof fraying)[number]
  /** 0 hides everything, 1 is clear. */
  readonly seeThrough: number
  readonly stiffness: Stiffness
  readonly washed: boolean
  /** It sticks to what it lies behind, which then gives no more. */
  readonly fused: boolean
}

/** Thickness where another layer presses on it lightly: t·(1 − κ/2). Source: docs/craft.md, The layer stack. */
export function pressedThickness({ thickness, squash }: Pick<Material, 'thickness' | 'squash'>): Length {
  return scale(thickness, 1 - squash / 2)
}

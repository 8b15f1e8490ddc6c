import { add, type Length } from '../length/length.js'
import type { Material } from './material.js'
import type { Role } from './role.js'

/** A material in the place it has in one cover. */
export interface Layer extends Material {
  /** How far inside the outer's cut edge the piece ends; zero is caught in the seam. */
  readonly inset: Length
  readonly quilted: boolean
}

/** From the object outwards: the outer cloth is last, and there is one layer of each role. */
export type Stack = readonly Layer[]

export function layerOf(stack: Stack, role: Role): Layer | undefined {
  return stack.find(layer => layer.role === role)
}

/** The outer cloth. Every stack that was read from a file has one; its absence is a bug. */
export function outerOf(stack: Stack): Layer {
  const outer = layerOf(stack, 'outer')
  if (!outer) throw new Error('A stack without an outer layer reached the computation')
  return outer
}

/** All plies, unpressed. */
export function totalThickness(stack: Stack): Length {
  return add(...stack.map(layer => layer.thickness))
}

/** Share of size that the quilted plies lose together: the largest take-up among them; 0 where none is quilted. */
export function quiltedTakeUp(stack: Stack): number {
  return Math.max(0, ...stack.filter(layer => layer.quilted).map(layer => layer.takeUp / 100))
}

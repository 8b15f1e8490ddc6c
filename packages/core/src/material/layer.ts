import { add, type Length } from '../length/length.js'
import type { Material } from './material.js'
import type { Role } from './role.js'

/** A material in the place it has in one cover. */
export interface Layer extends Material {
  /** How far inside the outer's cut edge the piece ends; zero is caught in the seam. */
  readonly inset: Length
  readonly quilted: boolean
  /** What an interfacing or a padding lies behind: `outer`, `lining`, or other pieces by their ids. */
  readonly backs: readonly string[]
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

/** Whether a layer lies behind others, and so may lie behind several of them or elsewhere than in the wall. */
export function isBacking({ role }: Pick<Layer, 'role'>): boolean {
  return role === 'interfacing' || role === 'padding'
}

/**
 * How often a layer lies in one wall of the cover: a backing once behind the outer and once behind the lining, as it
 * says; all else once.
 */
export function pliesOf(layer: Layer, stack: Stack): number {
  if (!isBacking(layer)) return 1
  const wall = ['outer', 'lining'].filter(role => stack.some(other => other.role === role))
  return layer.backs.filter(piece => wall.includes(piece)).length
}

/** The plies of one wall from the object outwards, a layer that lies behind outer and lining twice. */
export function wallOf(stack: Stack): Stack {
  return stack.flatMap(layer => Array.from({ length: pliesOf(layer, stack) }, () => layer))
}

/** All plies of a wall, unpressed. */
export function totalThickness(stack: Stack): Length {
  return add(...wallOf(stack).map(layer => layer.thickness))
}

/** The layers that lie behind a piece. */
export function backingsOf(stack: Stack, piece: string): Stack {
  return stack.filter(layer => isBacking(layer) && layer.backs.includes(piece))
}

/**
 * Share of size that quilted plies lose together: the padding’s take-up, or without one the largest among them; 0 where
 * none is quilted.
 */
export function quiltedTakeUp(stack: Stack): number {
  const quilted = stack.filter(layer => layer.quilted)
  const padding = layerOf(quilted, 'padding')
  return Math.max(0, ...(padding ? [padding] : quilted).map(layer => layer.takeUp / 100))
}

import { rectangle, type Fill, type PathMark } from '../drawing/drawing.js'
import type { Length } from '../length/length.js'

/** The edge of a leaf: seen from its inside, `top` at the head of the cover. */
export type LeafEdge = 'left' | 'right' | 'top' | 'bottom'

/** A place in millimetres: x to the right, y away from the maker, z up from the table. */
export type Place = readonly [x: number, y: number, z: number]

/**
 * A stiff part of what is folded: a panel of the cover, a piece in a pile, the thing. It lies with its inside up; its
 * outside is `thickness` below that.
 */
export interface Leaf {
  readonly id: string
  readonly name: string
  /** What it is cut from; absent for the thing. */
  readonly piece?: string
  readonly width: Length
  readonly height: Length
  readonly thickness: Length
  readonly inside: Fill
  readonly outside: Fill
  /**
   * The top left corner of its outside on the flat cover, as that is seen from outside; absent for what has no place there.
   */
  readonly onFlat?: readonly [x: Length, y: Length]
  /** The leaf that it moves with; absent for what lies by itself. */
  readonly joined?: Joined
  /** Where its lower left corner lies, in millimetres: on the leaf that it moves with, else on the table. */
  readonly at: Place
  /** Lines of stitches on it, and the gap that is left in them, from its lower left corner. */
  readonly stitches: readonly Stitches[]
}

export interface Stitches {
  readonly kind: 'stitch' | 'opening'
  readonly from: readonly [Length, Length]
  readonly to: readonly [Length, Length]
}

/** `hinge`: turns about an edge of the other, `room` above its inside for what lies between. `on`: lies on it. */
export type Joined =
  | { readonly kind: 'hinge'; readonly to: string; readonly edge: LeafEdge; readonly room: Length }
  | { readonly kind: 'on'; readonly to: string }

/** What of the flat cover the outside of a leaf is; undefined where it is none of it. */
export function areaOnFlat({ onFlat, width, height, outside, piece }: Leaf): PathMark | undefined {
  const look = { style: 'bare', fill: outside, ...(piece !== undefined && { piece }) } as const
  return onFlat && rectangle(onFlat, width, height, look)
}

/** How a leaf is at one moment; what is left out is 0, but `shown`, which is 1. */
export interface Pose {
  /** About its hinge, or, without one, about its own upright middle: degrees; 180 is folded over, or face down. */
  readonly angle?: number
  /** How far it is from its place, in millimetres. */
  readonly shift?: Place
  /** From 0, not there, to 1. */
  readonly shown?: number
}

/** A moment of the making, and what it shows; leaves that it does not name are not there. */
export interface Stage {
  readonly id: string
  readonly name: string
  /** What lies on what, from the table up; empty where nothing is piled. */
  readonly pile: readonly string[]
  /** It cannot be shown as it is: a body that is turned inside out. */
  readonly isScheme?: true
  readonly poses: Readonly<Record<string, Pose>>
}

/** A cover coming together: leaves that hang on each other, and how they are at each stage. */
export interface Folded {
  readonly leaves: readonly Leaf[]
  readonly stages: readonly Stage[]
}

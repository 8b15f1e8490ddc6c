import type { Length } from '../length/length.js'

/** Where everything lies. `x` runs across the width of a cloth, `y` along its length. */
export interface Layout {
  readonly placements: readonly Placement[]
  /** Every sheet that something lies on. */
  readonly used: readonly UsedSheet[]
  readonly unplaced: readonly Unplaced[]
  /** Nothing shorter can be: the length is at its lower bound. */
  readonly best: boolean
}

/** A copy of a piece on its sheet; width and height as it lies. */
export interface Placement {
  readonly piece: string
  /** From 1. */
  readonly copy: number
  readonly cloth: string
  /** From 1. */
  readonly sheet: number
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
  /** By a quarter. */
  readonly turned: boolean
}

export interface UsedSheet {
  readonly cloth: string
  readonly sheet: number
  readonly width: Length
  /** How far along the cloth the pieces reach. */
  readonly length: Length
  /** No layout of these pieces can be shorter on it. */
  readonly bound: Length
}

/** `too-large`: no cloth takes it whichever way it lies. `no-room`: the cloths are full. */
export interface Unplaced {
  readonly piece: string
  readonly copy: number
  readonly why: 'too-large' | 'no-room'
  /** Of what is too large: by how much it goes over the cloth that it comes nearest to. */
  readonly over?: { readonly cloth: string; readonly width: Length; readonly length: Length }
}

import type { Length } from '../length/length.js'
import type { Cuts } from './strip/search.js'

/** How a piece may be turned on the cloth: a one-way print not at all, plain cloth by a quarter where grain allows. */
export const turns = ['none', 'half', 'quarter'] as const
export type Turn = (typeof turns)[number]

/** What is to be laid on what. All lengths are whole ticks. */
export interface LayoutRequest {
  readonly cuts: Cuts
  /** Room between any two pieces; none is needed to the edges. */
  readonly gap: Length
  readonly budgetMs: number
  readonly seed: number
  readonly cloths: readonly Cloth[]
  readonly pieces: readonly LayoutPiece[]
  /** Where the print is to run on from piece to piece; kept where the cloth has room for it. */
  readonly matches?: readonly Match[]
}

/** Cloth, card or board: so many sheets alike, or, without a length, as much as is needed. */
export interface Cloth {
  readonly id: string
  readonly width: Length
  readonly length?: Length
  readonly count: number
  /** Places that no piece may cover, alike on all sheets: a stain, a worn part, a seam. */
  readonly avoid?: readonly AvoidedPlace[]
}

/** Measured from the beginning of the cloth and its left selvedge; pieces may touch it. */
export interface AvoidedPlace {
  readonly x: Length
  readonly y: Length
  readonly width: Length
  readonly height: Length
}

/** The height of a piece runs along the cloth unless it is turned by a quarter. */
export interface LayoutPiece {
  readonly id: string
  readonly width: Length
  readonly height: Length
  readonly count: number
  readonly turn: Turn
  /** How it may be turned where not all can be laid otherwise. */
  readonly turnIfNeeded?: Turn
  /** Where the first of its copies must lie. */
  readonly pin?: Pin
}

/** The corner of a piece nearest to the beginning of the cloth and its left selvedge. */
export interface Pin {
  readonly cloth: string
  /** Which of several sheets alike, from 1. */
  readonly sheet: number
  readonly x: Length
  readonly y: Length
  readonly turned: boolean
}

/**
 * Pieces that are to lie as if all had been cut from one stretch of the print, side by side. It comes again every
 * `along`, `across` the cloth likewise; where one of them is not said, the pieces may lie anyhow that way.
 */
export interface Match {
  readonly pieces: readonly MatchedPiece[]
  readonly along?: Length
  readonly across?: Length
}

/** The first copy of a piece, and where on that stretch its corner lies: nearest to the beginning and the left selvedge. */
export interface MatchedPiece {
  readonly piece: string
  readonly x: Length
  readonly y: Length
}

/** Bounds of what is taken on: sides in millimetres, numbers of pieces and sheets, the time to think. */
export const layoutLimits = {
  sideMm: { min: 1, max: 3000 },
  clothMm: { min: 10, max: 100_000 },
  gapMm: { min: 0, max: 100 },
  pieces: 2000,
  sheets: 500,
  avoided: 100,
  matches: 50,
  budgetMs: { min: 1, max: 60_000 },
} as const

import type { CoverFile, Length, ThingRow } from '@snowdrift/core'

/** Things that are to be covered, and how, by the file of a cover: its layers, its seams, its cutting grid. */
export interface SeriesRequest {
  readonly id: number
  readonly file: CoverFile
  readonly things: readonly ThingRow[]
  readonly families: readonly string[]
}

/** One cover of a series: whom it serves, by their place in the list, and what is cut for it. */
export interface CoverOfSeries {
  readonly things: readonly number[]
  readonly outer: { readonly width: Length; readonly height: Length }
  readonly file: CoverFile
  /** Square metres by role. */
  readonly cloth: Readonly<Record<string, number>>
}

/** One reply for each way of making. */
export type SeriesReply = { readonly id: number } & (
  | {
      readonly kind: 'series'
      readonly family: string
      readonly covers: readonly CoverOfSeries[]
      readonly bound: number
      readonly left: readonly number[]
    }
  | { readonly kind: 'done' }
)

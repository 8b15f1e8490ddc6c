/** A place on the bed in millimetres, from its lower left corner. */
export type Place = readonly [x: number, y: number]

/** One stroke of a tool, and the layer that says which tool. */
export interface Stroke {
  readonly layer: string
  readonly places: readonly Place[]
}

/** What a machine understood of a file. */
export interface Outline {
  readonly strokes: readonly Stroke[]
  /** What it does not follow: words, pictures, scripts. */
  readonly ignored: readonly string[]
}

/** A file that a machine cannot take; the message says why. */
export class Unreadable extends Error {
  override readonly name = 'Unreadable'
}

/** What an outline weighs at most; a cover’s has a few kilobytes. */
export const mostOutlineBytes = 5 * 1024 * 1024
export const mostPlaces = 200_000

import type { Length } from '../length/length.js'

/** Where an extra sits: on a piece, so far from its lower left corner as seen from its right side. */
export interface Place {
  readonly on?: string | undefined
  readonly x?: Length | undefined
  readonly y?: Length | undefined
}

export const placeKeys = ['on', 'x', 'y'] as const
export type PlaceKey = (typeof placeKeys)[number]

/** What its place is called, in forms and findings. */
export const placeLabels: Readonly<Record<PlaceKey, string>> = {
  on: 'Sits on',
  x: 'From the left',
  y: 'From below',
}

/** What is said of a place that an extra, taking only `heeded`, cannot heed. */
export function unheeded(place: Place, heeded: readonly PlaceKey[]): readonly PlaceKey[] {
  return placeKeys.filter(key => place[key] !== undefined && !heeded.includes(key))
}

/** Of an extra that can be put anywhere on a piece. */
export const anyPlace = (): readonly PlaceKey[] => ['on', 'x', 'y']

/** Of an extra whose place follows from the cover. */
export const fixedPlace = (): readonly PlaceKey[] => []

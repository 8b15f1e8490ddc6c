import type { Length } from '../length/length.js'
import type { Side } from './side.js'

/** Notions that a stash keeps: counted, or measured off a reel. */
export const stashNotionKinds = [
  'zip',
  'cord',
  'ribbon',
  'elastic',
  'button',
  'snap',
  'hook-and-loop',
  'magnet',
] as const
export type StashNotionKind = (typeof stashNotionKinds)[number]

/** Every kind of notion; what is weighed out of a pot, such as glue, no stash keeps by the piece. */
export type NotionKind = StashNotionKind | 'glue'

/** What is not cut from cloth, card or board: zip, cord, ribbon, elastic, hook-and-loop, snap, button, glue. */
export interface Notion {
  /** What its cover calls it; it may come twice of a kind. */
  readonly id: string
  readonly kind: NotionKind
  readonly count: number
  /** Absent for what is only counted, such as a button. */
  readonly length?: Side
  /** Where it matters for the plan how wide it is. */
  readonly width?: Length
  /** Planned here, but best measured off the made thing. */
  readonly measureFirst: boolean
  /** What is weighed, such as glue. */
  readonly grams?: number
}

/** Whether a stash keeps such a notion. */
export function isKeptInStash(kind: NotionKind): kind is StashNotionKind {
  return stashNotionKinds.some(kept => kept === kind)
}

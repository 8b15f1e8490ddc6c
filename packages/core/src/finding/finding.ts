import type { Length } from '../length/length.js'
import type { ReadingKey } from '../object/reading.js'
import type { Role } from '../material/role.js'
import type { Repair } from './repair.js'

/** `error`: cannot be made as it stands. `warning`: will go wrong or annoy. `advice`: worth knowing. */
export type Severity = 'error' | 'warning' | 'advice'

export type Direction = 'width' | 'height'

/** Every finding's numbers, by code. Words stand in `words.ts`, severities in `severity.ts`. */
export interface FindingData {
  'wrap-impossible': { readonly wrap: Length; readonly boards: Length }
  'wrap-disagrees': { readonly wrap: Length; readonly expected: Length }
  'open-closed-differ': { readonly open: Length; readonly wrap: Length }
  'open-only': { readonly thickness: Length }
  'sides-swapped': { readonly width: Length; readonly height: Length }
  'readings-spread': { readonly reading: ReadingKey; readonly smallest: Length; readonly largest: Length }
  'board-assumed': { readonly assumed: Length }
  'flap-too-deep': { readonly depth: Length; readonly deepest: Length }
  'will-it-go-in': { readonly depth: Length; readonly deepest: Length }
  'opening-too-small': {
    readonly left: Length
    readonly wanted: Length
    /** The deepest flap that leaves the opening; nothing or less where no flap does. */
    readonly deepest: Length
  }
  'recipe-changed': { readonly recipe: string; readonly changes: readonly RecipeChange[] }
  'will-not-go': { readonly direction: Direction; readonly short: Length; readonly stretch: Length }
  'tight-but-goes': { readonly direction: Direction; readonly short: Length; readonly stretch: Length }
  'drum-tight': { readonly direction: Direction; readonly ease: Length }
  baggy: { readonly direction: Direction; readonly ease: Length; readonly most: Length }
  'piece-too-small': { readonly piece: string; readonly width: Length; readonly height: Length }
}

export interface RecipeChange {
  readonly what: string
  readonly recipe: Length | string
  readonly stated: Length | string
}

export type FindingCode = keyof FindingData

/** What a finding is about, so that it can stand beside it. */
export type Subject =
  | `reading:${ReadingKey}`
  | `option:${string}`
  | `layer:${Role}`
  | `piece:${string}`
  | `fit:${Direction}`
  | 'seam'
  | 'sizing'

export type Finding = { [Code in FindingCode]: FindingOf<Code> }[FindingCode]

export interface FindingOf<Code extends FindingCode> {
  readonly code: Code
  readonly about: Subject
  readonly data: FindingData[Code]
  /** A change of the cover that mends it, where there is one. */
  readonly repair?: Repair
}

/** A list of one finding when `holds`, else an empty one. */
export function findingWhen<Code extends FindingCode>(
  holds: boolean,
  code: Code,
  about: Subject,
  data: FindingData[Code],
  repair?: Repair,
): readonly Finding[] {
  if (!holds) return []
  const found: FindingOf<Code> = { code, about, data, ...(repair && { repair }) }
  return [found as unknown as Finding]
}

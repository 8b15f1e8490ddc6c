import type { Kinds } from './kinds.js'

/** Which kinds each layout of a level of a beam search has laid how often. */
export interface Used {
  readonly begin: () => void
  readonly hasLeft: (from: number, kind: number) => boolean
  /** Looks up the narrowest two that are left, for `narrowestWithout`. */
  readonly findNarrowest: (from: number) => void
  /** The least width of what is left once one of `kind` is laid; far if nothing is. */
  readonly narrowestWithout: (kind: number) => number
  /** The least width of what is left, of the layout last looked up; far if nothing is. */
  readonly narrowestLeft: () => number
  /** Notes one more of a kind in a layout of the next level; gives a hash of what it used, in any order. */
  readonly advance: (from: number, kind: number, to: number) => number
  /** The least width of what a layout of the next level has left. */
  readonly narrowestOfNext: (which: number) => number
  /** Whether anything that a layout of the next level has left goes into such a room. */
  readonly fitsNext: (which: number, width: number, height: number) => boolean
  /** How often a layout of the next level has laid a kind. */
  readonly ofNext: (which: number, kind: number) => number
  /** Makes another layout of the same level that has laid the same. */
  readonly copy: (from: number, to: number) => void
  readonly nextLevel: () => void
}

const far = 1e9

export function createUsed(kinds: Kinds, widest: number, random: () => number): Used {
  const { count, many, narrowest, width, height, turnable } = kinds
  const keys = Int32Array.from({ length: count }, () => (random() * 2 ** 32) | 0)
  let now = new Uint16Array(widest * count)
  let then = new Uint16Array(widest * count)
  let firstKind = -1
  let first = far
  let second = far

  const hasLeft = (from: number, kind: number) =>
    (now[from * count + kind] as number) < (many[kind] as number)

  const fits = (kind: number, wide: number, high: number): boolean => {
    const across = width[kind] as number
    const along = height[kind] as number
    return (across <= wide && along <= high) || (turnable[kind] === 1 && along <= wide && across <= high)
  }

  return {
    begin: () => now.fill(0, 0, count),
    hasLeft,
    findNarrowest: from => {
      firstKind = -1
      first = far
      second = far
      for (let kind = 0; kind < count; kind += 1) {
        const left = (many[kind] as number) - (now[from * count + kind] as number)
        if (left === 0) continue
        if (firstKind >= 0) {
          second = narrowest[kind] as number
          return
        }
        firstKind = kind
        first = narrowest[kind] as number
        if (left > 1) {
          second = first
          return
        }
      }
    },
    narrowestWithout: kind => (kind === firstKind ? second : first),
    narrowestLeft: () => first,
    advance: (from, laid, to) => {
      let hash = 0
      for (let kind = 0; kind < count; kind += 1) {
        const used = (now[from * count + kind] as number) + (kind === laid ? 1 : 0)
        then[to * count + kind] = used
        hash = (hash + Math.imul(keys[kind] as number, used)) | 0
      }
      return hash
    },
    narrowestOfNext: which => {
      for (let kind = 0; kind < count; kind += 1)
        if ((then[which * count + kind] as number) < (many[kind] as number)) return narrowest[kind] as number
      return far
    },
    fitsNext: (which, wide, high) => {
      for (let kind = 0; kind < count; kind += 1)
        if ((then[which * count + kind] as number) < (many[kind] as number) && fits(kind, wide, high))
          return true
      return false
    },
    ofNext: (which, kind) => then[which * count + kind] as number,
    copy: (from, to) => {
      now.copyWithin(to * count, from * count, (from + 1) * count)
    },
    nextLevel: () => {
      const swap = now
      now = then
      then = swap
    },
  }
}

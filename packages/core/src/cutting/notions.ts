import { add, subtract, zero, type Length } from '../length/length.js'
import { isKeptInStash, type Notion, type StashNotionKind } from '../piece/notion.js'

/** So much of a kind: how many, or what lengths in one piece each. */
export interface NotionNeed {
  readonly kind: StashNotionKind
  readonly count: number
  readonly lengths: readonly Length[]
}

/** What several plans need together, kind by kind, of what a stash keeps. */
export function needNotions(notions: readonly Notion[]): readonly NotionNeed[] {
  const needs = new Map<StashNotionKind, NotionNeed>()
  for (const { kind, count, length } of notions) {
    if (!isKeptInStash(kind)) continue
    const before = needs.get(kind) ?? { kind, count: 0, lengths: [] }
    needs.set(kind, {
      kind,
      count: before.count + count,
      lengths: [...before.lengths, ...(length ? Array.from({ length: count }, () => length.cut) : [])],
    })
  }
  return [...needs.values()]
}

/** What the stash has of a kind: pieces with a length, or a number. */
export interface NotionStock {
  readonly count: number
  readonly length?: Length
}

export interface NotionBalance {
  readonly need: NotionNeed
  readonly enough: boolean
  /** What is missing: so many, or so much length in all. */
  readonly missingCount: number
  readonly missingLength: Length
}

/**
 * Whether the stash has enough: what is counted by number; what has a length must come off a piece in one, the longest
 * first, each off the shortest piece that still takes it. A zip takes a whole one.
 */
export function weighNotions(need: NotionNeed, stock: readonly NotionStock[]): NotionBalance {
  if (need.lengths.length === 0) {
    const have = stock.reduce((sum, { count }) => sum + count, 0)
    const missing = Math.max(0, need.count - have)
    return { need, enough: missing === 0, missingCount: missing, missingLength: zero }
  }
  let left = stock.flatMap(({ count, length }) => (length ? Array.from({ length: count }, () => length) : []))
  const missing: Length[] = []
  for (const wanted of need.lengths.toSorted((one, other) => other - one)) {
    const [tightest] = left.filter(length => length >= wanted).toSorted((one, other) => one - other)
    if (tightest === undefined) missing.push(wanted)
    else {
      const at = left.indexOf(tightest)
      const rest = need.kind === 'zip' ? [] : [subtract(tightest, wanted)]
      left = [...left.slice(0, at), ...left.slice(at + 1), ...rest]
    }
  }
  return { need, enough: missing.length === 0, missingCount: missing.length, missingLength: add(...missing) }
}

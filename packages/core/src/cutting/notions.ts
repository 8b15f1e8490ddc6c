import { add, subtract, zero, type Length } from '../length/length.js'
import type { Notion } from '../piece/notion.js'

export type NotionKind =
  'zip' | 'cord' | 'ribbon' | 'elastic' | 'button' | 'snap' | 'hook-and-loop' | 'magnet'

/** What a plan’s notion is, whatever it is called in its cover; undefined for what no stash keeps, such as glue. */
export function kindOfNotion(id: string): NotionKind | undefined {
  const rules: readonly (readonly [RegExp, NotionKind])[] = [
    [/ribbon|bookmark/, 'ribbon'],
    [/zip/, 'zip'],
    [/cord/, 'cord'],
    [/elastic/, 'elastic'],
    [/button/, 'button'],
    [/snap/, 'snap'],
    [/hook-and-loop/, 'hook-and-loop'],
    [/magnet/, 'magnet'],
  ]
  return rules.find(([pattern]) => pattern.test(id))?.[1]
}

/** So much of a kind: how many, or what lengths in one piece each. */
export interface NotionNeed {
  readonly kind: NotionKind
  readonly count: number
  readonly lengths: readonly Length[]
}

/** What several plans need together, kind by kind. */
export function needNotions(notions: readonly Notion[]): readonly NotionNeed[] {
  const needs = new Map<NotionKind, NotionNeed>()
  for (const { id, count, length } of notions) {
    const kind = kindOfNotion(id)
    if (!kind) continue
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

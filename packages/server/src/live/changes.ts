import type { Change } from '@snowdrift/core'

/** A change as the database noted it. */
export interface Noted {
  /** Counts up, though not always in the order in which changes are seen. */
  readonly id: string
  readonly workshop: string
  readonly change: Change
}

/** What somebody hears who follows a workshop: a change, or that some may have been missed. */
export interface Heard {
  /** By which what comes after it can be asked for, of any process. */
  readonly id: string
  /** Null where changes may have been missed: whatever is shown is to be read anew. */
  readonly change: Change | null
}

/** The changes of all workshops as they happen. */
export interface Changes {
  /**
   * Tells what happens in a workshop from now on, and first what happened after `after`: an id that was heard, or undefined
   * for the last moments. What was heard before may be told again. Gives the function that ends it.
   */
  readonly follow: (workshop: string, after: string | undefined, hear: (heard: Heard) => void) => () => void
  readonly tell: (noted: Noted) => void
  /** Nobody knows any more what happened since the last. */
  readonly tellMissed: () => void
}

interface Kept extends Noted {
  readonly at: number
}

interface ChangesOptions {
  /** Milliseconds of a clock that nobody sets. */
  readonly now: () => number
  /** So many are kept for those who were away. */
  readonly most?: number
}

/**
 * Whoever comes anew has read what they show within so long, and whoever heard of one change has heard of those that were
 * seen so long before it: two that happen at once are not seen by all in the same order.
 */
const lastMomentsMs = 15_000
const beginning = '0'

export function createChanges({ now, most = 2000 }: ChangesOptions): Changes {
  const followers = new Map<string, Set<(heard: Heard) => void>>()
  let kept: Kept[] = []
  const lastId = () => kept.at(-1)?.id ?? beginning
  const missedSince = (after: string | undefined, workshop: string): readonly Heard[] => {
    const known = after === undefined || after === beginning ? undefined : kept.find(({ id }) => id === after)
    if (known === undefined && after !== undefined && after !== lastId())
      return [{ id: lastId(), change: null }]
    const since = (known?.at ?? now()) - lastMomentsMs
    return kept.filter(noted => noted.workshop === workshop && noted.at >= since && noted.id !== after)
  }
  return {
    follow: (workshop, after, hear) => {
      for (const { id, change } of missedSince(after, workshop)) hear({ id, change })
      const others = followers.get(workshop) ?? new Set()
      followers.set(workshop, others.add(hear))
      return () => {
        others.delete(hear)
        if (others.size === 0) followers.delete(workshop)
      }
    },
    tell: noted => {
      kept.push({ ...noted, at: now() })
      if (kept.length > most) kept.shift()
      for (const hear of followers.get(noted.workshop) ?? []) hear({ id: noted.id, change: noted.change })
    },
    tellMissed: () => {
      kept = []
      for (const hear of [...followers.values()].flatMap(some => [...some]))
        hear({ id: beginning, change: null })
    },
  }
}

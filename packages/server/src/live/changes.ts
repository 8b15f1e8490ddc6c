import type { Change } from '@snowdrift/core'

/** What somebody hears who follows a workshop: a change, or that some may have been missed. */
export interface Heard {
  /** By which what comes after it can be asked for. */
  readonly id: string
  /** Null where changes may have been missed: whatever is shown is to be read anew. */
  readonly change: Change | null
}

/** The changes of all workshops as they happen. */
export interface Changes {
  /**
   * Tells what happens in a workshop from now on, and first what happened after `after`: an id that was heard, or undefined
   * for the last moments. Gives the function that ends it.
   */
  readonly follow: (workshop: string, after: string | undefined, hear: (heard: Heard) => void) => () => void
  readonly tell: (workshop: string, change: Change) => void
  /** The way to the database was cut: nobody knows what was missed. */
  readonly tellMissed: () => void
}

interface Kept extends Heard {
  readonly workshop: string | null
  readonly number: number
  readonly at: number
}

interface ChangesOptions {
  /** What this process is called: its numbers mean nothing to another. */
  readonly origin: string
  readonly now: () => number
  /** So many are kept for those who were away. */
  readonly most?: number
}

/** Whoever comes anew has read what they show within so long. */
const lastMomentsMs = 15_000

export function createChanges({ origin, now, most = 2000 }: ChangesOptions): Changes {
  const followers = new Map<string, Set<(heard: Heard) => void>>()
  const kept: Kept[] = []
  let number = 0
  const keep = (workshop: string | null, change: Change | null): Heard => {
    const heard: Kept = { id: `${origin}.${++number}`, number, workshop, change, at: now() }
    kept.push(heard)
    if (kept.length > most) kept.shift()
    return heard
  }
  const missedSince = (after: string | undefined, workshop: string): readonly Heard[] => {
    const isFor = (event: Kept) => event.workshop === workshop || event.workshop === null
    if (after === undefined) return kept.filter(event => isFor(event) && event.at >= now() - lastMomentsMs)
    const known = numberOf(after, origin)
    const oldest = kept[0]?.number ?? number + 1
    const isCovered = known !== undefined && known <= number && known >= oldest - 1
    return isCovered
      ? kept.filter(event => isFor(event) && event.number > known)
      : [{ id: `${origin}.${number}`, change: null }]
  }
  return {
    follow: (workshop, after, hear) => {
      for (const heard of missedSince(after, workshop)) hear(heard)
      const others = followers.get(workshop) ?? new Set()
      followers.set(workshop, others.add(hear))
      return () => {
        others.delete(hear)
        if (others.size === 0) followers.delete(workshop)
      }
    },
    tell: (workshop, change) => {
      const heard = keep(workshop, change)
      for (const hear of followers.get(workshop) ?? []) hear(heard)
    },
    tellMissed: () => {
      const heard = keep(null, null)
      for (const hear of [...followers.values()].flatMap(some => [...some])) hear(heard)
    },
  }
}

function numberOf(id: string, origin: string): number | undefined {
  const [from, number] = [id.slice(0, id.lastIndexOf('.')), id.slice(id.lastIndexOf('.') + 1)]
  return from === origin && /^\d{1,15}$/.test(number) ? Number(number) : undefined
}

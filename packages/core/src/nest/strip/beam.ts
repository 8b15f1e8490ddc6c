import { createCandidates, pickBest, type Candidates } from './candidates.js'
import { sortKinds, widthOf, type Kinds } from './kinds.js'
import type { Kit, Laid } from './kit.js'
import type { RoomsWithin } from './rooms.js'

/** What makes a partial layout promising; all in areas of a mean piece. */
export interface Taste {
  /** What each edge or room that is left costs. */
  readonly perEdge: number
  /** What is gained for what is laid already, as a share of its area. */
  readonly perArea: number
  /** Differences below this are left to chance. */
  readonly noise: number
  /** Above 1: so many times as many are tried to their end, and the best of those kept. */
  readonly pilot: number
}

export interface FrontOptions {
  readonly kit: Kit
  readonly kinds: Kinds
  /** How many partial layouts a level may have. */
  readonly widest: number
  readonly roomsWithin: RoomsWithin
  readonly mostRooms: number
  readonly random: () => number
}

/** The frontier of partial layouts: what a beam search needs to know of them. Layouts are numbered within a level. */
export interface Front {
  readonly begin: (limit: number, taste: Taste) => void
  /**
   * Makes another layout of this level that leaves the next gap open: what lies there is lost. False where that cannot
   * end well. Filling every gap cannot leave one open, which the best layouts sometimes do.
   */
  readonly leaveOpen: (from: number, to: number) => boolean
  /** Adds every way to lay one piece more; `how` is the kind times four, plus 2 if turned, plus 1 for the other side. */
  readonly expand: (from: number, candidates: Candidates) => void
  /** Makes a layout of the next level. Gives a hash of what matters of it from now on, or `dead` if it cannot end well. */
  readonly advance: (from: number, how: number, to: number) => number
  /** Where the piece last laid by `advance` lies. */
  readonly lastX: () => number
  readonly lastY: () => number
  /** Fills up a layout of the next level as best fits; gives the area left out. */
  readonly complete: (which: number, laid: Laid) => number
  readonly nextLevel: () => void
}

export const dead = -1

/** `none`: nothing was left out on the way, so wider is no use. */
export type Searched = 'found' | 'not-found' | 'none'

export interface Beam {
  /**
   * Looks for a layout within a length, keeping so many partial ones. Gives whether one was found, and leaves it in
   * `laid`. Yields every few hundred microseconds.
   */
  readonly search: (wide: number, limit: number, taste: Taste, laid: Laid) => Generator<void, Searched>
  readonly widest: number
}

/** Beam search: level by level one piece more, the most promising partial layouts kept, those that look alike once. */
export function createBeam(kit: Kit, createFront: (kinds: Kinds, widest: number) => Front): Beam {
  const { count } = kit
  const widest = Math.max(8, Math.min(2000, Math.floor(100_000 / count)))
  const kinds = sortKinds(kit)
  const front = createFront(kinds, 2 * widest)
  const candidates = createCandidates()
  const seen = new Set<number>()
  const history = {
    from: new Int32Array(count * widest),
    how: new Int32Array(count * widest),
    x: new Int32Array(count * widest),
    y: new Int32Array(count * widest),
  }
  /** So many steps are taken between two turns, so that one lasts about half a millisecond. */
  const atOnce = Math.max(1, Math.floor(3200 / count))
  const alive = new Int32Array(2 * widest)
  const outs = new Float64Array(2 * widest)
  /** Which layout of the level each one stands for: those that leave a gap open stand for the one that they are made from. */
  const same = new Int32Array(2 * widest)
  /** Whether anything promising was left out for lack of room. */
  const skipped = { any: false }
  let level = 0

  /** alive[0..size) are the states; returns new count, appended ones stand at level.. */
  const leaveGapsOpen = (size: number, wide: number): number => {
    const most = Math.min(2 * widest - 1, level + wide)
    let all = size
    let free = level
    for (let at = 0; at < all; at += 1) {
      const from = alive[at] as number
      if (at < size) same[from] = from
      if (free >= most || all >= 2 * wide) {
        skipped.any = true
        continue
      }
      if (!front.leaveOpen(from, free)) continue
      same[free] = same[from] as number
      alive[all] = free
      free += 1
      all += 1
    }
    return all
  }

  function* expandAll(size: number): Generator<void> {
    candidates.count = 0
    for (let at = 0; at < size; at += 1) {
      front.expand(alive[at] as number, candidates)
      if (at % atOnce === atOnce - 1) yield
    }
  }

  function* keepBest(depth: number, wide: number, pilot: number, laid: Laid): Generator<void, number> {
    const most = Math.min(widest, wide * pilot)
    const picked = pickBest(candidates, 2 * most)
    seen.clear()
    let kept = 0
    let rank = 0
    for (; rank < picked && kept < most; rank += 1) {
      const candidate = candidates.ranked[rank] as number
      const from = candidates.from[candidate] as number
      const how = candidates.how[candidate] as number
      const hash = front.advance(from, how, kept)
      if (rank % atOnce === atOnce - 1) yield
      if (hash === dead || seen.has(hash)) continue
      seen.add(hash)
      const place = depth * widest + kept
      history.from[place] = same[from] as number
      history.how[place] = how
      history.x[place] = front.lastX()
      history.y[place] = front.lastY()
      kept += 1
    }
    if (rank < candidates.count) skipped.any = true
    level = kept
    let survivors = kept
    for (let at = 0; at < kept; at += 1) alive[at] = at
    if (pilot > 1) {
      for (let at = 0; at < kept; at += 1) {
        outs[at] = front.complete(at, laid)
        if (outs[at] === 0) {
          trace(laid, depth, at)
          return -1
        }
        if ((4 * at) % atOnce < 4) yield
      }
      if (kept > wide) {
        alive
          .subarray(0, kept)
          .sort((one, other) => (outs[one] as number) - (outs[other] as number) || one - other)
        survivors = wide
        skipped.any = true
      }
    }
    front.nextLevel()
    return survivors
  }

  const trace = (laid: Laid, deepest: number, last: number): void => {
    const members = kinds.items.map(() => 0)
    const path: number[] = []
    for (let depth = deepest, at = last; depth >= 0; depth -= 1) {
      path.push(depth * widest + at)
      at = history.from[depth * widest + at] as number
    }
    for (const place of path.reverse()) {
      const how = history.how[place] as number
      const kind = how >> 2
      const member = members[kind] as number
      members[kind] = member + 1
      const item = kinds.items[kind]?.[member] as number
      laid.x[item] = history.x[place] as number
      laid.y[item] = history.y[place] as number
      laid.turned[item] = widthOf(kinds, kind, how & 2) === kit.widths[item] ? 0 : 1
    }
  }

  const whyNone = (): Searched => (skipped.any ? 'not-found' : 'none')

  function* search(wide: number, limit: number, taste: Taste, laid: Laid): Generator<void, Searched> {
    skipped.any = false
    front.begin(limit, taste)
    let size = 1
    level = 1
    alive[0] = 0
    for (let depth = 0; depth < count; depth += 1) {
      yield* expandAll(leaveGapsOpen(size, wide))
      size = yield* keepBest(depth, Math.min(wide, widest), taste.pilot, laid)
      if (size === 0) return whyNone()
      if (size < 0) return 'found'
    }
    trace(laid, count - 1, alive[0])
    return 'found'
  }
  return { search, widest }
}

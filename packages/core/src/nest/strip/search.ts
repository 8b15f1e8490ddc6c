import { createBeam, type Beam, type Searched, type Taste } from './beam.js'
import { createGapFiller } from './fill-gaps.js'
import { createRoomFiller } from './fill-rooms.js'
import type { Filler } from './filler.js'
import { createBlockJoiner, type BlockJoiner } from './join-blocks.js'
import { createLaid, type Kit, type Laid } from './kit.js'
import { createReorderer, type Reorderer } from './reorder.js'
import { createRoomFront } from './room-front.js'
import { areaOfRooms, type RoomsWithin } from './rooms.js'
import { createSkylineFront } from './skyline-front.js'

export type Cuts = 'scissors' | 'rotary'

export interface Searches {
  readonly kit: Kit
  readonly rotary: boolean
  /** Made when it is first asked for: it takes more room than a first layout is worth. */
  readonly beam: () => Beam
  readonly reorderer: Reorderer
  readonly joiner: () => BlockJoiner
  readonly filler: Filler
  readonly roomsWithin: RoomsWithin
  readonly random: () => number
}

export interface SearchOptions {
  readonly cuts: Cuts
  readonly roomsWithin: RoomsWithin
  /** There are never more rooms than that. */
  readonly mostRooms: number
  /** Numbers from 0 to 1. */
  readonly random: () => number
}

export function createSearches(kit: Kit, options: SearchOptions): Searches {
  const { cuts, roomsWithin, mostRooms, random } = options
  const rotary = cuts === 'rotary'
  const createFront = rotary ? createRoomFront : createSkylineFront
  const filler = (rotary ? createRoomFiller : createGapFiller)(kit, mostRooms)
  return {
    kit,
    rotary,
    beam: once(() => createBeam(kit, (kinds, widest) => createFront({ kit, kinds, widest, ...options }))),
    reorderer: createReorderer(kit, filler, roomsWithin, random),
    joiner: once(() => createBlockJoiner(kit, mostJoined, random)),
    filler,
    roomsWithin,
    random,
  }
}

/** A turn of a search: `length` once `laid` holds a shorter layout. */
export interface SearchTurn {
  readonly length?: number
}

const nothingYet: SearchTurn = {}

export interface Shortening {
  /** The length of the layout that there is. */
  readonly start: number
  /** Nothing can be shorter. */
  readonly lower: number
  /** What is less than that apart is not worth a search. */
  readonly step: number
  /** Keeps a layout that was found within a limit; gives how long it really is. */
  readonly keep: (laid: Laid, limit: number) => number
}

/**
 * Looks for a layout within a limit for about as long as a first look may take; true once `laid` holds one.
 */
export function* findWithin(searches: Searches, limit: number, laid: Laid): Generator<SearchTurn, boolean> {
  const { kit, beam, reorderer, roomsWithin, rotary, random } = searches
  if (areaOfRooms(roomsWithin(limit)) < kit.area) return false
  const fillsAtOnce = fewFills(kit)
  for (let tries = 0; tries < firstFills; tries += fillsAtOnce) {
    if (reorderer.search(limit, fillsAtOnce, laid)) return true
    yield nothingYet
  }
  for (let round = 0; round < (kit.count > manyPieces ? 0 : firstLooks); round += 1) {
    const found = yield* inTurns(beam().search(4 << round, limit, tasteOf(round, rotary, random), laid))
    if (found !== 'not-found') return found === 'found'
  }
  return false
}

/**
 * Ever shorter layouts, handed to `keep`. Three searches take turns, each wider in every round: partial layouts side by
 * side (a beam), the order of the pieces in a simple filling, and, where not a thread may be lost, the joining of
 * blocks. They look for a layout within a limit, between what is known to be too short and the best so far. Yields every
 * few hundred microseconds; ends where nothing shorter can be.
 */
export function* shorten(
  searches: Searches,
  { start, lower, step, keep }: Shortening,
): Generator<SearchTurn, void> {
  const { kit, beam, reorderer, joiner, rotary, roomsWithin, random } = searches
  const perfect = findPerfect(kit, roomsWithin, lower)
  const tried = createLaid(kit.count)
  let best = start
  const search = { exhausted: false }
  let missed = 0
  const fillsAtOnce = fewFills(kit)
  const shorter = () => best - step
  const onTheGrid = (share: number) =>
    lower + Math.max(0, Math.floor(((shorter() - lower) * share) / step) * step)

  const take = (limit: number): SearchTurn => {
    best = Math.min(best, keep(tried, limit))
    return { length: best }
  }

  function* attempt(wide: number, limit: number, taste: Taste): Generator<SearchTurn, void> {
    if (best <= lower || limit >= best) return
    const found: Searched = yield* inTurns(beam().search(wide, limit, taste, tried))
    if (found === 'found') yield take(limit)
    if (found === 'none' && limit === shorter()) search.exhausted = true
  }

  function* reorder(tries: number): Generator<SearchTurn, void> {
    for (let done = 0; done < tries && best > lower; done += fillsAtOnce) {
      const limit = missed < 20 ? onTheGrid(0.75) : shorter()
      if (reorderer.search(limit, fillsAtOnce, tried)) {
        missed = 0
        yield take(limit)
      } else {
        missed += 1
        yield nothingYet
      }
    }
  }

  function* join(wide: number): Generator<SearchTurn, void> {
    if (!perfect || best <= lower) return
    if (yield* inTurns(joiner().search(wide, perfect.width, perfect.height, tried))) yield take(lower)
  }

  /** Where `lower` would be without any loss, it is mostly found there, if at all, by these. */
  function* tryPerfect(round: number, wide: number, taste: Taste): Generator<SearchTurn, void> {
    const plain = { ...taste, pilot: 1 }
    if (rotary || round % 2 === 1) yield* join(8 * wide)
    if (rotary) {
      yield* attempt(60 * wide, lower, plain)
      yield* attempt(40 * wide, onTheGrid(0.2), plain)
    } else if (round % 2 === 0) yield* attempt(10 * wide, lower, plain)
    else if (round % 4 === 1) yield* attempt(wide, lower, taste)
  }

  yield* reorder(firstFills)
  for (let wide = 2, round = 0; best > lower && !search.exhausted; round += 1) {
    const taste = tasteOf(round, rotary, random)
    if (perfect) yield* tryPerfect(round, wide, taste)
    else if (round % 8 === 7) yield* attempt(4 * wide, lower, { ...taste, pilot: 1 })
    const before = best
    if (round % 2 === 0) yield* attempt(wide, onTheGrid(0.6), taste)
    if (best === before) yield* attempt(wide, shorter(), taste)
    yield* reorder((wide * taste.pilot * kit.count) / (rotary ? 8 : 2))
    if (best === before) wide = Math.min(beam().widest, Math.ceil(wide * 1.3))
  }
}

function once<Value>(make: () => Value): () => Value {
  let made: Value | undefined
  return () => (made ??= make())
}

const firstLooks = 4
/** With more of them one look takes longer than a first look may. */
const manyPieces = 150
const mostJoined = 200
const firstFills = 200

/** As many fillings as take about half a millisecond. */
function fewFills({ count }: Kit): number {
  return Math.max(1, Math.min(10, Math.floor(20_000 / count ** 2)))
}

function* inTurns<Result>(search: Generator<void, Result>): Generator<SearchTurn, Result> {
  let turn = search.next()
  while (!turn.done) {
    yield nothingYet
    turn = search.next()
  }
  yield nothingYet
  return turn.value
}

/** The one room that the kit would have to fill without any loss, where that is what `lower` asks for. */
function findPerfect({ area }: Kit, roomsWithin: RoomsWithin, lower: number) {
  const [room, ...more] = roomsWithin(lower)
  return room && more.length === 0 && room.width * room.height === area ? room : undefined
}

function tasteOf(round: number, rotary: boolean, random: () => number): Taste {
  return {
    perEdge: rotary ? 0.02 + 0.1 * random() : 0.05 + 0.2 * random(),
    perArea: 0.3 * random(),
    noise: round < 2 ? 0 : 0.05 * random(),
    pilot: 4 + Math.floor(9 * random()),
  }
}

import { mm } from '../length/length.js'
import { createRandom } from '../fit/simulation/random.js'
import type { Layout } from './layout.js'
import { countMissed, uprightWhereMatched } from './matches.js'
import { pinMatched } from './pin-matched.js'
import { layoutOf, placesOf, usedLength, type Places } from './places.js'
import type { LayoutRequest } from './request.js'
import { partings, type Parting } from './rooms-around-pins.js'
import { endOfObstacles, endOfPins, lowerOf, mostRoomsOn, roomsOnAll, rowOf } from './sheet-rooms.js'
import { createLaid, type Kit, type Laid } from './strip/kit.js'
import { areaOfRooms, inARow, type RoomsWithin } from './strip/rooms.js'
import { createSearches, findWithin, shorten, type Searches } from './strip/search.js'
import { prepareTask, type Sheet, type Task } from './task.js'

/**
 * Lays the pieces of a request on its cloths, better and better: yields every better layout, the first at once, and
 * undefined about every millisecond, so that it can be stopped at any time. Ends where nothing better can be found.
 *
 * Cloths with a length are used first where they suffice: as few as will do, and of the last as little. Where they do
 * not, a cloth without a length takes the rest, as little of it as will do. Where there is none, as much as has room is
 * laid and the rest is `unplaced`.
 */
export function* nesting(request: LayoutRequest): Generator<Layout | undefined, void> {
  const { asked, parting } = bestWay(request)
  if (!asked.matches) yield* search(asked, parting)
  else yield* neverMore(search(asked, parting))
}

/** Rooms that became shorter may still hold a layout that did not: pieces lie anywhere in what the print wants of room. */
function* neverMore(found: Iterable<Layout | undefined>): Generator<Layout | undefined, void> {
  let least: Layout | undefined
  for (const layout of found) {
    const isWorse = layout && least && compareLaid(layout, least) > 0
    if (layout && !isWorse) least = layout
    yield isWorse ? undefined : layout
  }
}

interface Way {
  readonly asked: LayoutRequest
  readonly parting: Parting
}

/**
 * Pieces that match are given room for up to a repeat, or pinned to one cloth; of both ways, and of doing without, the
 * one that lays the most, misses the least and begins the least cloth.
 */
function bestWay(request: LayoutRequest): Way {
  const { matches, ...loose } = request
  if (!matches || matches.length === 0) return leastWay(loose)
  const upright = uprightWhereMatched(request)
  const tried = [upright, ...pinMatched(upright), loose].map(asked => tryWay(leastWay(asked)))
  const [best] = tried
    .map(one => ({ ...one, missed: one.first ? countMissed(one.first, matches) : Infinity }))
    .toSorted((one, other) => one.left - other.left || one.missed - other.missed || one.used - other.used)
  if (!best) throw new Error('A layout was asked for in no way')
  return best.way
}

/**
 * Which way a first layout lays the most, and of those takes the least cloth: what would rather not be turned is turned
 * only where it must, and sheets with something in the way are parted in that way of several.
 */
function leastWay(request: LayoutRequest): Way {
  const ways = (asked: LayoutRequest) =>
    (isInTheWay(asked) ? partings : (['largest'] as const)).map((parting): Way => ({ asked, parting }))
  const isTurning = request.pieces.some(({ turnIfNeeded }) => turnIfNeeded !== undefined)
  const [only, ...others] = ways(request)
  if (only && others.length === 0 && !isTurning) return only
  const straight = bestOf(ways(request))
  if (!isTurning || straight.left === 0) return straight.way
  const turned = bestOf(ways(turnedAsNeeded(request)))
  return turned.left < straight.left ? turned.way : straight.way
}

function isInTheWay({ cloths, pieces }: LayoutRequest): boolean {
  return cloths.some(({ avoid = [] }) => avoid.length > 0) || pieces.some(({ pin }) => pin !== undefined)
}

interface Tried {
  readonly way: Way
  readonly first: Layout | undefined
  /** How many pieces had no room. */
  readonly left: number
  /** Area of cloth that was begun, in square ticks. */
  readonly used: number
}

function bestOf(ways: readonly Way[]): Tried {
  const [best] = ways.map(tryWay).toSorted((one, other) => one.left - other.left || one.used - other.used)
  if (!best) throw new Error('A layout was asked for in no way')
  return best
}

function tryWay(way: Way): Tried {
  const first = firstLayout(way)
  if (!first) return { way, first, left: way.asked.pieces.length, used: Infinity }
  return { way, first, left: first.unplaced.length, used: areaUsed(first) }
}

function areaUsed({ used }: Layout): number {
  return used.reduce((sum, { width, length }) => sum + width * length, 0)
}

/** Which of two lays less, and where they lay as much, which begins more cloth. */
function compareLaid(one: Layout, other: Layout): number {
  return one.unplaced.length - other.unplaced.length || areaUsed(one) - areaUsed(other)
}

function firstLayout({ asked, parting }: Way): Layout | undefined {
  for (const found of search(asked, parting)) if (found) return found
  return undefined
}

function turnedAsNeeded(request: LayoutRequest): LayoutRequest {
  const pieces = request.pieces.map(({ turn, turnIfNeeded, ...piece }) => ({
    ...piece,
    turn: turnIfNeeded ?? turn,
  }))
  return { ...request, pieces }
}

function* search(request: LayoutRequest, parting: Parting): Generator<Layout | undefined, void> {
  const task = prepareTask(request, parting)
  const { sheets, kit } = task
  if (kit.count === 0) {
    yield layoutOf(task, [])
    return
  }
  const random = createRandom(request.seed)
  const cut = sheets.filter(({ length }) => length !== undefined)
  const endless = sheets.filter(({ length }) => length === undefined)
  yield* layAtOnce(task, cut, endless, random)
  const enough = yield* layOnCut(task, cut, random, endless.length === 0)
  if (enough) return
  if (endless.length > 0) yield* layOnEndless(task, cut, endless, random)
}

/** Whatever is found first, so that there is something to show however soon the search is stopped. */
function* layAtOnce(
  task: Task,
  cut: readonly Sheet[],
  endless: readonly Sheet[],
  random: () => number,
): Generator<Layout | undefined, void> {
  for (const open of endless) {
    const fixed = besideOpen(cut, endless, open)
    const first = yield* layFirst(task, fixed, open, random)
    if (!first) continue
    yield layoutOf(task, first, { open, lower: lowerOf(task, fixed, open) })
    return
  }
  if (endless.length === 0) yield* layMost(task, cut, random, 1)
}

/** Tries to do with the cloths that have a length. False where that is not found; then the most is laid if it must do. */
function* layOnCut(
  task: Task,
  cut: readonly Sheet[],
  random: () => number,
  mustDo: boolean,
): Generator<Layout | undefined, boolean> {
  if (cut.length === 0) return false
  const { kit } = task
  const laid = createLaid(kit.count)
  let using = cut
  let places = yield* placeAll(task, using, random, laid)
  if (!places) {
    if (mustDo) yield* layMost(task, using, random)
    return false
  }
  yield layoutOf(task, places)
  const failed = new Set<string>()
  for (const sheet of [...cut].reverse()) {
    if (sheet.pins.length > 0 || failed.has(sheet.cloth.id)) continue
    const fewer = using.filter(other => other !== sheet)
    const found = yield* placeAll(task, fewer, random, laid)
    if (found) {
      using = fewer
      places = found
      yield layoutOf(task, places)
    } else failed.add(sheet.cloth.id)
  }
  const last = using.findLast(sheet => sheet.pins.length === 0) ?? using.at(-1)
  if (last)
    yield* shortenOn(
      task,
      using.filter(sheet => sheet !== last),
      last,
      places,
      random,
    )
  return true
}

function* placeAll(
  task: Task,
  using: readonly Sheet[],
  random: () => number,
  laid: Laid,
): Generator<undefined, Places | undefined> {
  const rooms = inARow(roomsOnAll(task, using))
  if (rooms.length === 0 || areaOfRooms(rooms) < task.kit.area) return undefined
  const searches = searchesOn(task, () => rooms, using, random)
  return (yield* silently(findWithin(searches, 0, laid))) ? placesOf(task, rooms, laid) : undefined
}

/** Lays the rest on one endless cloth: the one where a first layout comes out shortest. */
function* layOnEndless(
  task: Task,
  cut: readonly Sheet[],
  endless: readonly Sheet[],
  random: () => number,
): Generator<Layout | undefined, void> {
  let best:
    | {
        readonly open: Sheet
        readonly fixed: readonly Sheet[]
        readonly places: Places
        readonly length: number
      }
    | undefined
  for (const open of endless) {
    const fixed = besideOpen(cut, endless, open)
    const first = yield* layFirst(task, fixed, open, random)
    if (!first) continue
    const length = usedLength(task, open, first)
    if (!best || length < best.length) {
      best = { open, fixed, places: first, length }
      yield layoutOf(task, first, { open, lower: lowerOf(task, fixed, open) })
    }
  }
  if (best) yield* shortenOn(task, best.fixed, best.open, best.places, random)
  else
    yield* layMost(
      task,
      [...cut, ...endless.map(sheet => ({ ...sheet, length: longEnough(task, sheet) }))],
      random,
    )
}

/** What may be used whole beside the open cloth. */
function besideOpen(cut: readonly Sheet[], endless: readonly Sheet[], open: Sheet): readonly Sheet[] {
  const others = endless.filter(other => other !== open).map(endAtPins)
  return [...cut, ...others].filter(sheet => (sheet.length ?? 0) > 0)
}

/** Of an endless cloth that is not the open one, what its pins take. */
function endAtPins(sheet: Sheet): Sheet {
  return { ...sheet, length: endOfPins(sheet) }
}

/** A first layout on an open cloth, by simple filling within ever looser limits. */
function* layFirst(
  task: Task,
  fixed: readonly Sheet[],
  open: Sheet,
  random: () => number,
): Generator<undefined, Places | undefined> {
  const { kit } = task
  const laid = createLaid(kit.count)
  const roomsWithin = rowOf(task, fixed, open)
  const { reorderer } = searchesOn(task, roomsWithin, [...fixed, open], random)
  const lower = lowerOf(task, fixed, open)
  const most = longEnough(task, open)
  const begin = Math.max(Math.ceil(1.1 * lower) + 1, tallestOf(kit))
  for (let limit = Math.min(most, begin); ; limit = Math.min(most, Math.ceil(1.25 * limit))) {
    if (reorderer.search(limit, firstTries, laid)) return placesOf(task, roomsWithin(limit), laid)
    yield undefined
    if (limit === most) return undefined
  }
}

const firstTries = 4

/** The height of the tallest piece, each lying as flat as it may. */
function tallestOf({ count, widths, heights, turnable }: Kit): number {
  let tallest = 0
  for (let item = 0; item < count; item += 1) {
    const high = heights[item] as number
    tallest = Math.max(tallest, turnable[item] ? Math.min(high, widths[item] as number) : high)
  }
  return tallest
}

/** All pieces one above the other, and what is pinned. */
function longEnough({ kit }: Task, open: Sheet): number {
  let height = endOfObstacles(open)
  for (let item = 0; item < kit.count; item += 1)
    height += Math.max(kit.heights[item] as number, kit.turnable[item] ? (kit.widths[item] as number) : 0)
  return height
}

/** Shortens what is used of the open sheet; the others are there to be used whole. */
function* shortenOn(
  task: Task,
  fixed: readonly Sheet[],
  open: Sheet,
  first: Places,
  random: () => number,
): Generator<Layout | undefined, void> {
  const roomsWithin = rowOf(task, fixed, open)
  const searches = searchesOn(task, roomsWithin, [...fixed, open], random)
  const lower = lowerOf(task, fixed, open)
  let places = first
  const start = usedLength(task, open, places)
  yield layoutOf(task, places, { open, lower })
  const keep = (laid: Laid, limit: number): number => {
    places = placesOf(task, roomsWithin(limit), laid)
    return usedLength(task, open, places)
  }
  for (const turn of shorten(searches, { start, lower, step: stepOf(task), keep }))
    yield turn.length === undefined ? undefined : layoutOf(task, places, { open, lower })
}

/** As much as has room, measured in area. */
function* layMost(
  task: Task,
  sheets: readonly Sheet[],
  random: () => number,
  tries = mostTries,
): Generator<Layout | undefined, void> {
  const { kit } = task
  const rooms = inARow(roomsOnAll(task, sheets))
  const { filler } = searchesOn(task, () => rooms, sheets, random)
  const laid = createLaid(kit.count)
  const out = new Int32Array(kit.count)
  let least = Infinity
  const items = Array.from({ length: kit.count }, (_, item) => item)
  const areas = items.map(item => (kit.widths[item] as number) * (kit.heights[item] as number))
  for (let tried = 0; tried < tries; tried += 1) {
    const values = areas.map(area => area * (1 + (tried === 0 ? 0 : random() - 0.5)))
    const order = Int32Array.from(items.toSorted((one, other) => (values[other] ?? 0) - (values[one] ?? 0)))
    const left = rooms.length === 0 ? kit.area : filler.fill(order, rooms, Infinity, laid)
    if (left < least) {
      least = left
      const leftOut = rooms.length === 0 ? items : [...out.subarray(0, filler.listOut(out))]
      const places = placesOf(task, rooms, laid, new Set(leftOut))
      yield layoutOf(task, places)
    } else yield undefined
    if (rooms.length === 0) return
  }
}

const mostTries = 2000

function* silently<Result>(search: Generator<unknown, Result>): Generator<undefined, Result> {
  let turn = search.next()
  while (!turn.done) {
    yield undefined
    turn = search.next()
  }
  return turn.value
}

function searchesOn(
  { request, kit }: Task,
  roomsWithin: RoomsWithin,
  sheets: readonly Sheet[],
  random: () => number,
): Searches {
  return createSearches(kit, { cuts: request.cuts, roomsWithin, mostRooms: mostRoomsOn(sheets), random })
}

/** Below this nothing is worth a search: a quarter of a millimetre. */
function stepOf({ unit }: Task): number {
  return Math.max(1, Math.ceil(mm(0.25) / unit))
}

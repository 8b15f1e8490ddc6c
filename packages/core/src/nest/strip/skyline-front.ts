import { dead, type Front, type FrontOptions, type Taste } from './beam.js'
import { addCandidate, type Candidates } from './candidates.js'
import { chainLeft, heightOf, widthOf } from './kinds.js'
import { createGapFiller } from './fill-gaps.js'
import type { Laid } from './kit.js'
import { beginLevel, goOn } from './level.js'
import { endOfRooms, type Room } from './rooms.js'
import {
  copySkyline,
  createSkylineLevel,
  dropStretch,
  endOfStretch,
  hashOfSkyline,
  leftOf,
  lowestGap,
  rightOf,
  type SkylineLevel,
} from './skyline-level.js'
import { createUsed } from './used.js'
import { createWeighing } from './weighing.js'

/**
 * Partial layouts as skylines over a row of rooms with walls between them: a piece goes to either end of the next gap;
 * a gap that nothing fits is lost.
 */
export function createSkylineFront({
  kit,
  kinds,
  widest,
  roomsWithin,
  mostRooms,
  random,
}: FrontOptions): Front {
  const { count: pieces } = kit
  const filler = createGapFiller(kit, mostRooms)
  const room = pieces + 2 * mostRooms + 3
  const weighing = createWeighing(kit, random)
  const used = createUsed(kinds, widest, random)
  let now = createSkylineLevel(widest, room)
  let then = createSkylineLevel(widest, room)
  let width = 0
  let limit = 0
  let lastX = 0
  let lastY = 0

  const begin = (within: number, taste: Taste): void => {
    const rooms = roomsWithin(within)
    limit = endOfRooms(rooms)
    weighing.begin(rooms, taste)
    standUp(rooms)
    used.begin()
    beginLevel(now)
    settle(now, 0, kinds.narrowest[0] as number)
  }

  /** The skyline before anything lies: the floor of each room, and a wall to its end between any two. */
  const standUp = (rooms: readonly Room[]): void => {
    let made = 0
    const push = (x: number, y: number): void => {
      now.x[made] = x
      now.y[made] = y
      made += 1
    }
    rooms.forEach((place, index) => {
      if (index > 0) push(width, limit)
      push(place.x, place.y)
      width = place.x + place.width
    })
    now.count[0] = made
  }

  const expand = (from: number, candidates: Candidates): void => {
    const offset = from * room
    const stretches = now.count[from] as number
    const at = now.next[from] as number
    const base = now.y[offset + at] as number
    const gap = endOfStretch(now, from, at, width) - (now.x[offset + at] as number)
    const left = leftOf(now, from, at) - base
    const right = rightOf(now, from, at) - base
    const isOpen = at > 0 && at + 1 < stretches
    used.findNarrowest(from)
    const lost = now.lost[from] as number
    const area = now.area[from] as number
    for (let kind = 0; kind < kinds.count && (kinds.narrowest[kind] as number) <= gap; kind += 1) {
      if (!used.hasLeft(from, kind)) continue
      const narrowest = used.narrowestWithout(kind)
      for (let turned = 0; turned <= (kinds.turnable[kind] as number); turned += 1) {
        const wide = widthOf(kinds, kind, turned)
        const high = heightOf(kinds, kind, turned)
        if (wide > gap || base + high > limit) continue
        const over = gap - wide
        const sides = over > 0 && isOpen ? 2 : 1
        for (let side = 0; side < sides; side += 1) {
          const wall = side === 0 ? left : right
          const other = side === 0 ? right : left
          const more = over > 0 && over < narrowest ? over * Math.min(high, other) : 0
          if (weighing.isTooMuch(lost + more)) continue
          const edges =
            stretches + (over > 0 ? 1 : 0) - (high === wall ? 1 : 0) - (over === 0 && high === other ? 1 : 0)
          const score = weighing.score(lost + more, edges, area + wide * high)
          addCandidate(candidates, from, 4 * kind + 2 * turned + side, score)
        }
      }
    }
  }

  const advance = (from: number, how: number, to: number): number => {
    const kind = how >> 2
    const wide = widthOf(kinds, kind, how & 2)
    const high = heightOf(kinds, kind, how & 2)
    layOn(from, wide, high, (how & 1) === 1, to)
    goOn(now, from, then, to, wide * high)
    const usedHash = used.advance(from, kind, to)
    if (!settle(then, to, used.narrowestOfNext(to))) return dead
    return hashOfSkyline(then, to, usedHash)
  }

  /** The skyline of `from` with a rectangle put into its next gap, as `to`. */
  const layOn = (from: number, wide: number, high: number, atRight: boolean, to: number): void => {
    const source = from * room
    const target = to * room
    const stretches = now.count[from] as number
    const at = now.next[from] as number
    const base = now.y[source + at] as number
    const start = now.x[source + at] as number
    const end = endOfStretch(now, from, at, width)
    lastX = atRight ? end - wide : start
    lastY = base
    let made = 0
    const push = (x: number, y: number): void => {
      if (made > 0 && then.y[target + made - 1] === y) return
      then.x[target + made] = x
      then.y[target + made] = y
      made += 1
    }
    for (let i = 0; i < at; i += 1) push(now.x[source + i] as number, now.y[source + i] as number)
    if (lastX > start) push(start, base)
    push(lastX, base + high)
    if (lastX + wide < end) push(lastX + wide, base)
    for (let i = at + 1; i < stretches; i += 1) push(now.x[source + i] as number, now.y[source + i] as number)
    then.count[to] = made
  }

  const leaveOpen = (from: number, to: number): boolean => {
    if (now.count[from] === 1 || weighing.mayLoseNothing()) return false
    copySkyline(now, from, to)
    used.copy(from, to)
    used.findNarrowest(from)
    return raise(now, to, now.next[from] as number) && settle(now, to, used.narrowestLeft())
  }

  /** Raises what nothing left fits into, and finds the gap to fill next. False once too much is lost. */
  const settle = (level: SkylineLevel, which: number, narrowest: number): boolean => {
    const offset = which * room
    for (;;) {
      const at = lowestGap(level, which)
      level.next[which] = at
      const gap = endOfStretch(level, which, at, width) - (level.x[offset + at] as number)
      if (gap >= narrowest || level.count[which] === 1) return true
      if (!raise(level, which, at)) return false
    }
  }

  /** Raises a gap to its lower neighbour. False once too much is lost. */
  const raise = (level: SkylineLevel, which: number, at: number): boolean => {
    const offset = which * room
    const left = leftOf(level, which, at)
    const right = rightOf(level, which, at)
    const height = left < right ? left : right
    const gap = endOfStretch(level, which, at, width) - (level.x[offset + at] as number)
    const lost = (level.lost[which] as number) + (height - (level.y[offset + at] as number)) * gap
    level.lost[which] = lost
    if (weighing.isTooMuch(lost)) return false
    level.y[offset + at] = height
    if (right === height) dropStretch(level, which, at + 1)
    if (left === height) dropStretch(level, which, at)
    return true
  }

  const complete = (which: number, laid: Laid): number => {
    const { chain, skyline } = filler
    chainLeft(chain, kinds, kind => used.ofNext(which, kind))
    const offset = which * room
    const stretches = then.count[which] as number
    for (let at = 0; at < stretches; at += 1) {
      const x = then.x[offset + at] as number
      skyline.x[at] = x
      skyline.y[at] = then.y[offset + at] as number
      skyline.width[at] = (at + 1 < stretches ? (then.x[offset + at + 1] as number) : width) - x
    }
    skyline.count = stretches
    return filler.fillOn(limit, laid)
  }

  const nextLevel = (): void => {
    const swap = now
    now = then
    then = swap
    used.nextLevel()
  }
  return { begin, complete, leaveOpen, expand, advance, lastX: () => lastX, lastY: () => lastY, nextLevel }
}

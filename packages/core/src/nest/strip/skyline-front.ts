import { dead, type Front, type FrontOptions, type Taste } from './beam.js'
import { addCandidate, type Candidates } from './candidates.js'
import { chainLeft, heightOf, widthOf } from './kinds.js'
import { createGapFiller } from './fill-gaps.js'
import type { Laid } from './kit.js'
import { areaOfRooms, endOfRooms, type Room } from './rooms.js'
import { createUsed } from './used.js'

const far = 1e9

interface Level {
  readonly x: Int32Array
  readonly y: Int32Array
  readonly count: Int32Array
  /** Which stretch is filled next. */
  readonly next: Int32Array
  readonly lost: Float64Array
  readonly area: Float64Array
}

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
  const { area: total, count: pieces } = kit
  const filler = createGapFiller(kit, mostRooms)
  const room = pieces + 2 * mostRooms + 3
  const mean = total / pieces
  const used = createUsed(kinds, widest, random)
  let now = createLevel(widest, room)
  let then = createLevel(widest, room)
  let width = 0
  let limit = 0
  let mostLost = 0
  let edgeCost = 0
  let areaGain = 0
  let noise = 0
  let lastX = 0
  let lastY = 0

  const begin = (within: number, taste: Taste): void => {
    const rooms = roomsWithin(within)
    limit = endOfRooms(rooms)
    mostLost = areaOfRooms(rooms) - total
    standUp(rooms)
    edgeCost = taste.perEdge * mean
    areaGain = taste.perArea
    noise = taste.noise * mean
    used.begin()
    now.lost[0] = 0
    now.area[0] = 0
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
    const end = at + 1 < stretches ? (now.x[offset + at + 1] as number) : width
    const gap = end - (now.x[offset + at] as number)
    const left = at > 0 ? (now.y[offset + at - 1] as number) - base : far
    const right = at + 1 < stretches ? (now.y[offset + at + 1] as number) - base : far
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
        const gain = areaGain * (area + wide * high)
        const sides = over > 0 && left < far && right < far ? 2 : 1
        for (let side = 0; side < sides; side += 1) {
          const wall = side === 0 ? left : right
          const other = side === 0 ? right : left
          const more = over > 0 && over < narrowest ? over * Math.min(high, other) : 0
          if (lost + more > mostLost) continue
          const edges =
            stretches + (over > 0 ? 1 : 0) - (high === wall ? 1 : 0) - (over === 0 && high === other ? 1 : 0)
          const score = lost + more + edgeCost * edges - gain + noise * random()
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
    then.lost[to] = now.lost[from] as number
    then.area[to] = (now.area[from] as number) + wide * high
    const usedHash = used.advance(from, kind, to)
    if (!settle(then, to, used.narrowestOfNext(to))) return dead
    return hashOf(to, usedHash)
  }

  /** The skyline of `from` with a rectangle put into its next gap, as `to`. */
  const layOn = (from: number, wide: number, high: number, atRight: boolean, to: number): void => {
    const source = from * room
    const target = to * room
    const stretches = now.count[from] as number
    const at = now.next[from] as number
    const base = now.y[source + at] as number
    const start = now.x[source + at] as number
    const end = at + 1 < stretches ? (now.x[source + at + 1] as number) : width
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
    const offset = from * room
    const stretches = now.count[from] as number
    if (stretches === 1 || mostLost <= 0) return false
    for (const numbers of [now.x, now.y]) numbers.copyWithin(to * room, offset, offset + stretches)
    now.count[to] = stretches
    now.lost[to] = now.lost[from] as number
    now.area[to] = now.area[from] as number
    used.copy(from, to)
    used.findNarrowest(from)
    return raise(now, to, now.next[from] as number) && settle(now, to, used.narrowestLeft())
  }

  /** Raises what nothing left fits into, and finds the gap to fill next. False once too much is lost. */
  const settle = (level: Level, which: number, narrowest: number): boolean => {
    const offset = which * room
    for (;;) {
      const at = lowestGap(level, which)
      level.next[which] = at
      const stretches = level.count[which] as number
      const end = at + 1 < stretches ? (level.x[offset + at + 1] as number) : width
      const gap = end - (level.x[offset + at] as number)
      if (gap >= narrowest || stretches === 1) return true
      if (!raise(level, which, at)) return false
    }
  }

  /** Raises a gap to its lower neighbour. False once too much is lost. */
  const raise = (level: Level, which: number, at: number): boolean => {
    const offset = which * room
    const stretches = level.count[which] as number
    const left = at > 0 ? (level.y[offset + at - 1] as number) : far
    const right = at + 1 < stretches ? (level.y[offset + at + 1] as number) : far
    const height = left < right ? left : right
    const end = at + 1 < stretches ? (level.x[offset + at + 1] as number) : width
    const gap = end - (level.x[offset + at] as number)
    const lost = (level.lost[which] as number) + (height - (level.y[offset + at] as number)) * gap
    level.lost[which] = lost
    if (lost > mostLost) return false
    level.y[offset + at] = height
    if (right === height) drop(level, which, at + 1)
    if (left === height) drop(level, which, at)
    return true
  }

  const drop = (level: Level, which: number, at: number): void => {
    const offset = which * room
    const stretches = level.count[which] as number
    for (let next = offset + at + 1; next < offset + stretches; next += 1) {
      level.x[next - 1] = level.x[next] as number
      level.y[next - 1] = level.y[next] as number
    }
    level.count[which] = stretches - 1
  }

  const lowestGap = (level: Level, which: number): number => {
    const offset = which * room
    const stretches = level.count[which] as number
    let found = 0
    for (let at = 1; at < stretches; at += 1)
      if ((level.y[offset + at] as number) < (level.y[offset + found] as number)) found = at
    return found
  }

  const hashOf = (which: number, start: number): number => {
    const offset = which * room
    let hash = start
    for (let at = 0; at < (then.count[which] as number); at += 1) {
      const mixed = Math.imul(hash ^ (then.x[offset + at] as number), 0x9e3779b1)
      hash = (mixed + Math.imul(then.y[offset + at] as number, 0x85ebca6b)) | 0
    }
    return hash >>> 0
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

function createLevel(widest: number, room: number): Level {
  return {
    x: new Int32Array(widest * room),
    y: new Int32Array(widest * room),
    count: new Int32Array(widest),
    next: new Int32Array(widest),
    lost: new Float64Array(widest),
    area: new Float64Array(widest),
  }
}

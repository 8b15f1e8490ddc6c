import { dead, type Front, type FrontOptions, type Taste } from './beam.js'
import { addCandidate, type Candidates } from './candidates.js'
import { addRoom, createRoomFiller } from './fill-rooms.js'
import { chainLeft, heightOf, widthOf } from './kinds.js'
import type { Laid } from './kit.js'
import { areaOfRooms } from './rooms.js'
import { createUsed } from './used.js'

interface Level {
  readonly x: Int32Array
  readonly y: Int32Array
  readonly width: Int32Array
  readonly height: Int32Array
  readonly count: Int32Array
  readonly next: Int32Array
  readonly lost: Float64Array
  readonly area: Float64Array
}

/**
 * Partial layouts as the rooms they leave, for cuts from edge to edge: a piece goes into the corner of the tightest
 * room, whose rest is split across or along. Rooms that nothing fits into are lost. The less room to choose, the
 * sooner it is filled.
 */
export function createRoomFront({ kit, kinds, widest, roomsWithin, mostRooms, random }: FrontOptions): Front {
  const { area: total, count: pieces } = kit
  const filler = createRoomFiller(kit, mostRooms)
  const most = pieces + 2 + mostRooms
  const mean = total / pieces
  const used = createUsed(kinds, widest, random)
  let now = createLevel(widest, most)
  let then = createLevel(widest, most)
  let mostLost = 0
  let roomCost = 0
  let areaGain = 0
  let noise = 0
  let lastX = 0
  let lastY = 0

  const begin = (limit: number, taste: Taste): void => {
    const rooms = roomsWithin(limit)
    mostLost = areaOfRooms(rooms) - total
    roomCost = taste.perEdge * mean
    areaGain = taste.perArea
    noise = taste.noise * mean
    used.begin()
    now.count[0] = rooms.length
    now.lost[0] = 0
    now.area[0] = 0
    rooms.forEach((room, at) => {
      now.x[at] = room.x
      now.y[at] = room.y
      now.width[at] = room.width
      now.height[at] = room.height
    })
    now.next[0] = tightest(now, 0)
  }

  const expand = (from: number, candidates: Candidates): void => {
    const place = from * most + (now.next[from] as number)
    const wide = now.width[place] as number
    const high = now.height[place] as number
    used.findNarrowest(from)
    for (let kind = 0; kind < kinds.count; kind += 1) {
      if (!used.hasLeft(from, kind)) continue
      for (let turned = 0; turned <= (kinds.turnable[kind] as number); turned += 1) {
        const across = widthOf(kinds, kind, turned)
        const along = heightOf(kinds, kind, turned)
        if (across > wide || along > high) continue
        const beside = wide - across
        const above = high - along
        const splits = beside > 0 && above > 0 ? 2 : 1
        for (let split = 0; split < splits; split += 1) {
          const score = scoreOf(from, kind, { across, along, beside, above, split })
          if (score < Infinity) addCandidate(candidates, from, 4 * kind + 2 * turned + split, score)
        }
      }
    }
  }

  const scoreOf = (from: number, kind: number, cut: Cut): number => {
    const { across, along, beside, above, split } = cut
    const smallest = used.narrowestWithout(kind)
    const area = (now.area[from] as number) + across * along
    let lost = now.lost[from] as number
    let rooms = (now.count[from] as number) - 1
    if (beside > 0) {
      if (beside < smallest) lost += beside * (split === 1 ? along + above : along)
      else rooms += 1
    }
    if (above > 0) {
      if (above < smallestSideLeft(from)) lost += above * (split === 1 ? across : across + beside)
      else rooms += 1
    }
    return lost > mostLost ? Infinity : lost + roomCost * rooms - areaGain * area + noise * random()
  }

  /** Of what is left before the piece is laid: a room that is flatter than that is lost for certain. */
  const smallestSideLeft = (from: number): number => {
    let least = Infinity
    for (let kind = 0; kind < kinds.count; kind += 1)
      if (used.hasLeft(from, kind)) least = Math.min(least, kinds.smallestSide[kind] as number)
    return least
  }

  const advance = (from: number, how: number, to: number): number => {
    const kind = how >> 2
    const across = widthOf(kinds, kind, how & 2)
    const along = heightOf(kinds, kind, how & 2)
    cutFrom(from, across, along, (how & 1) === 1, to)
    then.lost[to] = now.lost[from] as number
    then.area[to] = (now.area[from] as number) + across * along
    const usedHash = used.advance(from, kind, to)
    const done = then.area[to] >= total
    if (!done && !settle(to)) return dead
    return hashOf(to, usedHash)
  }

  /** The rooms of `from` once a piece is cut from the next of them, as `to`. */
  const cutFrom = (from: number, across: number, along: number, split: boolean, to: number): void => {
    const chosen = from * most + (now.next[from] as number)
    lastX = now.x[chosen] as number
    lastY = now.y[chosen] as number
    const wide = now.width[chosen] as number
    const high = now.height[chosen] as number
    let made = to * most
    const push = (x: number, y: number, width: number, height: number): void => {
      then.x[made] = x
      then.y[made] = y
      then.width[made] = width
      then.height[made] = height
      made += 1
    }
    for (let at = from * most; at < from * most + (now.count[from] as number); at += 1)
      if (at !== chosen)
        push(now.x[at] as number, now.y[at] as number, now.width[at] as number, now.height[at] as number)
    if (wide > across) push(lastX + across, lastY, wide - across, split ? high : along)
    if (high > along) push(lastX, lastY + along, split ? across : wide, high - along)
    then.count[to] = made - to * most
  }

  const leaveOpen = (from: number, to: number): boolean => {
    const rooms = now.count[from] as number
    const at = from * most + (now.next[from] as number)
    const lost = (now.lost[from] as number) + (now.width[at] as number) * (now.height[at] as number)
    if (rooms < 2 || lost > mostLost) return false
    for (const numbers of [now.x, now.y, now.width, now.height])
      numbers.copyWithin(to * most, from * most, from * most + rooms)
    now.count[to] = rooms
    now.area[to] = now.area[from] as number
    now.lost[to] = lost
    used.copy(from, to)
    drop(now, to, now.next[from] as number)
    now.next[to] = tightest(now, to)
    return true
  }

  /** Drops rooms that nothing left fits into and finds the next. False once too much is lost, or no room is left. */
  const settle = (which: number): boolean => {
    const offset = which * most
    for (let at = 0; at < (then.count[which] as number);) {
      const wide = then.width[offset + at] as number
      const high = then.height[offset + at] as number
      if (used.fitsNext(which, wide, high)) {
        at += 1
        continue
      }
      const lost = (then.lost[which] as number) + wide * high
      then.lost[which] = lost
      if (lost > mostLost) return false
      drop(then, which, at)
    }
    then.next[which] = tightest(then, which)
    return (then.count[which] as number) > 0
  }

  const drop = (level: Level, which: number, at: number): void => {
    const last = (level.count[which] as number) - 1
    level.count[which] = last
    for (const numbers of [level.x, level.y, level.width, level.height])
      numbers[which * most + at] = numbers[which * most + last] as number
  }

  const tightest = (level: Level, which: number): number => {
    const offset = which * most
    let found = 0
    let least = Infinity
    for (let at = 0; at < (level.count[which] as number); at += 1) {
      const wide = level.width[offset + at] as number
      const high = level.height[offset + at] as number
      const key = wide * high
      if (key >= least) continue
      least = key
      found = at
    }
    return found
  }

  /** Rooms count by their sizes only, in whatever order. */
  const hashOf = (which: number, start: number): number => {
    const offset = which * most
    let hash = start
    for (let at = offset; at < offset + (then.count[which] as number); at += 1) {
      const mixed = Math.imul(then.width[at] as number, 0x9e3779b1) ^ (then.height[at] as number)
      hash = (hash + Math.imul(mixed ^ (mixed >>> 15), 0x85ebca6b)) | 0
    }
    return hash >>> 0
  }

  const complete = (which: number, laid: Laid): number => {
    const { chain, free } = filler
    chainLeft(chain, kinds, kind => used.ofNext(which, kind))
    free.count = 0
    for (let at = which * most; at < which * most + (then.count[which] as number); at += 1)
      addRoom(
        free,
        then.x[at] as number,
        then.y[at] as number,
        then.width[at] as number,
        then.height[at] as number,
      )
    return filler.fillOn(laid)
  }

  const nextLevel = (): void => {
    const swap = now
    now = then
    then = swap
    used.nextLevel()
  }
  return { begin, complete, leaveOpen, expand, advance, lastX: () => lastX, lastY: () => lastY, nextLevel }
}

interface Cut {
  readonly across: number
  readonly along: number
  readonly beside: number
  readonly above: number
  readonly split: number
}

function createLevel(widest: number, most: number): Level {
  return {
    x: new Int32Array(widest * most),
    y: new Int32Array(widest * most),
    width: new Int32Array(widest * most),
    height: new Int32Array(widest * most),
    count: new Int32Array(widest),
    next: new Int32Array(widest),
    lost: new Float64Array(widest),
    area: new Float64Array(widest),
  }
}

import { dead, type Front, type FrontOptions, type Taste } from './beam.js'
import { addCandidate, type Candidates } from './candidates.js'
import { addRoom, createRoomFiller } from './fill-rooms.js'
import { chainLeft, heightOf, widthOf } from './kinds.js'
import type { Laid } from './kit.js'
import { beginLevel, goOn } from './level.js'
import { copyRooms, createRoomLevel, dropRoom, hashOfRooms, tightestRoom } from './room-level.js'
import { createUsed } from './used.js'
import { createWeighing } from './weighing.js'

/**
 * Partial layouts as the rooms they leave, for cuts from edge to edge: a piece goes into the corner of the tightest
 * room, whose rest is split across or along. Rooms that nothing fits into are lost. The less room to choose, the
 * sooner it is filled.
 */
export function createRoomFront({ kit, kinds, widest, roomsWithin, mostRooms, random }: FrontOptions): Front {
  const { area: total, count: pieces } = kit
  const filler = createRoomFiller(kit, mostRooms)
  const most = pieces + 2 + mostRooms
  const weighing = createWeighing(kit, random)
  const used = createUsed(kinds, widest, random)
  let now = createRoomLevel(widest, most)
  let then = createRoomLevel(widest, most)
  let lastX = 0
  let lastY = 0

  const begin = (limit: number, taste: Taste): void => {
    const rooms = roomsWithin(limit)
    weighing.begin(rooms, taste)
    used.begin()
    beginLevel(now)
    now.count[0] = rooms.length
    rooms.forEach((room, at) => {
      now.x[at] = room.x
      now.y[at] = room.y
      now.width[at] = room.width
      now.height[at] = room.height
    })
    now.next[0] = tightestRoom(now, 0)
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
    return weighing.isTooMuch(lost) ? Infinity : weighing.score(lost, rooms, area)
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
    goOn(now, from, then, to, across * along)
    const usedHash = used.advance(from, kind, to)
    const done = (then.area[to] as number) >= total
    if (!done && !settle(to)) return dead
    return hashOfRooms(then, to, usedHash)
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
    const next = now.next[from] as number
    const at = from * most + next
    const lost = (now.lost[from] as number) + (now.width[at] as number) * (now.height[at] as number)
    if ((now.count[from] as number) < 2 || weighing.isTooMuch(lost)) return false
    copyRooms(now, from, to)
    now.lost[to] = lost
    used.copy(from, to)
    dropRoom(now, to, next)
    now.next[to] = tightestRoom(now, to)
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
      if (weighing.isTooMuch(lost)) return false
      dropRoom(then, which, at)
    }
    then.next[which] = tightestRoom(then, which)
    return (then.count[which] as number) > 0
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

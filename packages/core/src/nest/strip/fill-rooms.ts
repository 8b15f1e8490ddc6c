import {
  areaOfChain,
  chainInOrder,
  createChain,
  listChain,
  takeOut,
  type Chain,
  type Filler,
} from './filler.js'
import type { Kit, Laid } from './kit.js'
import { areaOfRooms } from './rooms.js'

/** Rooms that are still free, in no order. */
export interface FreeRooms {
  count: number
  readonly x: Int32Array
  readonly y: Int32Array
  readonly width: Int32Array
  readonly height: Int32Array
}

export function createFreeRooms(most: number): FreeRooms {
  return {
    count: 0,
    x: new Int32Array(most),
    y: new Int32Array(most),
    width: new Int32Array(most),
    height: new Int32Array(most),
  }
}

export interface RoomFiller extends Filler {
  readonly chain: Chain
  readonly free: FreeRooms
  /** Fills on from what `chain` and `free` were set to; gives the area left out. */
  readonly fillOn: (laid: Laid) => number
}

/** How many sides of the room a piece fills. */
const suits = { both: 2, one: 1, fits: 0, not: -1 } as const

/**
 * Cuts from edge to edge only: takes the smallest free room, lays what fills most of its sides into its corner, and cuts
 * the rest in two so that the larger part is as large as it can be.
 */
export function createRoomFiller(kit: Kit, mostRooms: number): RoomFiller {
  const { widths, heights, turnable, count } = kit
  const free = createFreeRooms(count + mostRooms + 2)
  const chain = createChain(count)
  const { next } = chain
  const chosen = { item: -1, before: -1, turned: 0 }

  const choose = (wide: number, high: number): boolean => {
    let best: number = suits.not
    for (let item = chain.head, before = -1; item >= 0; before = item, item = next[item] as number) {
      const across = widths[item] as number
      const along = heights[item] as number
      if (across <= wide && along <= high) {
        const suit = (across === wide ? 1 : 0) + (along === high ? 1 : 0)
        if (suit > best) {
          best = suit
          take(item, before, 0)
        }
      }
      if (turnable[item] === 1 && along <= wide && across <= high) {
        const suit = (along === wide ? 1 : 0) + (across === high ? 1 : 0)
        if (suit > best) {
          best = suit
          take(item, before, 1)
        }
      }
      if (best === suits.both) return true
    }
    return best > suits.not
  }

  const take = (item: number, before: number, turned: number): void => {
    chosen.item = item
    chosen.before = before
    chosen.turned = turned
  }

  const lay = (at: number, laid: Laid): void => {
    const { item, before, turned } = chosen
    const x = free.x[at] as number
    const y = free.y[at] as number
    const wide = free.width[at] as number
    const high = free.height[at] as number
    const across = (turned ? heights[item] : widths[item]) as number
    const along = (turned ? widths[item] : heights[item]) as number
    laid.x[item] = x
    laid.y[item] = y
    laid.turned[item] = turned
    takeOut(chain, before, item)
    dropRoom(free, at)
    const besideIsLarger = (wide - across) * high > (high - along) * wide
    addRoom(free, x + across, y, wide - across, besideIsLarger ? high : along)
    addRoom(free, x, y + along, besideIsLarger ? across : wide, high - along)
  }

  const run = (spare: number, most: number, laid: Laid): number => {
    let lost = -spare
    while (chain.head >= 0 && free.count > 0) {
      const at = smallest(free)
      const wide = free.width[at] as number
      const high = free.height[at] as number
      if (choose(wide, high)) lay(at, laid)
      else {
        lost += wide * high
        if (lost > most) return lost
        dropRoom(free, at)
      }
    }
    return areaOfChain(chain, kit)
  }

  return {
    chain,
    free,
    fill: (order, rooms, most, laid) => {
      free.count = 0
      for (const { x, y, width, height } of rooms) addRoom(free, x, y, width, height)
      chainInOrder(chain, order)
      return run(areaOfRooms(rooms) - kit.area, most, laid)
    },
    fillOn: laid => run(Infinity, Infinity, laid),
    listOut: items => listChain(chain, items),
  }
}

export function addRoom(free: FreeRooms, x: number, y: number, width: number, height: number): void {
  if (width <= 0 || height <= 0) return
  free.x[free.count] = x
  free.y[free.count] = y
  free.width[free.count] = width
  free.height[free.count] = height
  free.count += 1
}

function dropRoom(free: FreeRooms, at: number): void {
  const last = free.count - 1
  free.x[at] = free.x[last] as number
  free.y[at] = free.y[last] as number
  free.width[at] = free.width[last] as number
  free.height[at] = free.height[last] as number
  free.count = last
}

function smallest({ count, width, height }: FreeRooms): number {
  let found = 0
  let least = Infinity
  for (let at = 0; at < count; at += 1) {
    const area = (width[at] as number) * (height[at] as number)
    if (area >= least) continue
    least = area
    found = at
  }
  return found
}

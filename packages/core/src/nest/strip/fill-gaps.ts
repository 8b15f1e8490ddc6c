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
import { areaOfRooms, endOfRooms } from './rooms.js'
import { createSkyline, liftLeftEnd, liftRightEnd, raise, standUp, type Skyline } from './skyline.js'

/** How well a piece suits a gap: how many of its edges run on in a neighbour’s. */
const suits = { allSides: 7, widthAndSide: 6, width: 4, leftSide: 3, rightSide: 2, fits: 0, not: -1 } as const

export interface GapFiller extends Filler {
  readonly chain: Chain
  readonly skyline: Skyline
  /** Fills on from what `chain` and `skyline` were set to, up to a limit; gives the area left out. */
  readonly fillOn: (limit: number, laid: Laid) => number
}

/**
 * Fills the lowest gap again and again with the piece that suits it best. Source: L. Wei, Q. Hu, S. Leung, N. Zhang, An
 * improved skyline based heuristic for the 2D strip packing problem, Computers & Operations Research 80 (2017).
 */
export function createGapFiller(kit: Kit, mostRooms: number): GapFiller {
  const { widths, heights, turnable, count } = kit
  const skyline = createSkyline(count, mostRooms)
  const chain = createChain(count)
  const { next } = chain
  const chosen = { item: -1, before: -1, turned: 0, suit: suits.not as number }
  let narrowest = 0

  const choose = (gap: number, open: number, left: number, right: number): void => {
    chosen.suit = suits.not
    if (gap < narrowest) return
    let least = 0x7fffffff
    let best: number = suits.not
    for (let item = chain.head, before = -1; item >= 0; before = item, item = next[item] as number) {
      const wide = widths[item] as number
      const high = heights[item] as number
      if (wide <= gap && high <= open) {
        const suit = suitOf(wide === gap, high, left, right)
        if (suit > best) {
          best = suit
          take(item, before, 0, suit)
        }
      }
      if (wide < least) least = wide
      if (turnable[item] === 1) {
        if (high <= gap && wide <= open) {
          const suit = suitOf(high === gap, wide, left, right)
          if (suit > best) {
            best = suit
            take(item, before, 1, suit)
          }
        }
        if (high < least) least = high
      }
      if (best === suits.allSides) return
    }
    narrowest = least
  }

  const take = (item: number, before: number, turned: number, suit: number): void => {
    chosen.item = item
    chosen.before = before
    chosen.turned = turned
    chosen.suit = suit
  }

  const lay = (at: number, right: boolean, laid: Laid): void => {
    const { item, before, turned } = chosen
    const wide = (turned ? heights[item] : widths[item]) as number
    const high = (turned ? widths[item] : heights[item]) as number
    const base = skyline.y[at] as number
    const start = skyline.x[at] as number
    laid.x[item] = right ? start + (skyline.width[at] as number) - wide : start
    laid.y[item] = base
    laid.turned[item] = turned
    if (right) liftRightEnd(skyline, at, wide, base + high)
    else liftLeftEnd(skyline, at, wide, base + high)
    takeOut(chain, before, item)
  }

  const run = (limit: number, spare: number, most: number, laid: Laid): number => {
    narrowest = 0
    let lost = -spare
    while (chain.head >= 0) {
      const at = lowest(skyline)
      const base = skyline.y[at] as number
      const open = limit - base
      if (open <= 0) break
      const gap = skyline.width[at] as number
      const left = at > 0 ? (skyline.y[at - 1] as number) - base : open
      const right = at < skyline.count - 1 ? (skyline.y[at + 1] as number) - base : open
      choose(gap, open, left, right)
      if (chosen.suit === suits.not) {
        lost += (left < right ? left : right) * gap
        if (lost > most) return lost
        if (skyline.count === 1) break
        raise(skyline, at)
      } else {
        const atRight = chosen.suit === suits.rightSide || (chosen.suit !== suits.leftSide && right > left)
        lay(at, atRight, laid)
      }
    }
    return areaOfChain(chain, kit)
  }

  return {
    chain,
    skyline,
    fill: (order, rooms, most, laid) => {
      standUp(skyline, rooms)
      chainInOrder(chain, order)
      return run(endOfRooms(rooms), areaOfRooms(rooms) - kit.area, most, laid)
    },
    fillOn: (limit, laid) => run(limit, Infinity, Infinity, laid),
    listOut: items => listChain(chain, items),
  }
}

function suitOf(fillsWidth: boolean, high: number, left: number, right: number): number {
  if (fillsWidth) {
    if (high !== left && high !== right) return suits.width
    return left === right ? suits.allSides : suits.widthAndSide
  }
  if (high === left) return suits.leftSide
  return high === right ? suits.rightSide : suits.fits
}

/** The leftmost of the lowest stretches. */
function lowest({ count, y }: Skyline): number {
  let found = 0
  for (let at = 1; at < count; at += 1) if ((y[at] as number) < (y[found] as number)) found = at
  return found
}

import type { Laid } from './kit.js'
import type { Room } from './rooms.js'

/** Lays a kit in one go by a simple rule, the order of the pieces settling the ties. */
export interface Filler {
  /**
   * Fills the rooms and leaves out what finds no place. Gives the area left out; early, and then too little, once it is
   * over `most`.
   */
  readonly fill: (order: Int32Array, rooms: readonly Room[], most: number, laid: Laid) => number
  /** Writes down what the last filling left out; gives how many. */
  readonly listOut: (items: Int32Array) => number
}

/** Items in a chain: each knows the next, −1 ends it. */
export interface Chain {
  head: number
  readonly next: Int32Array
}

export function createChain(count: number): Chain {
  return { head: -1, next: new Int32Array(count) }
}

export function chainInOrder(chain: Chain, order: Int32Array): void {
  chain.head = -1
  for (let place = order.length - 1; place >= 0; place -= 1) putFirst(chain, order[place] as number)
}

export function putFirst(chain: Chain, item: number): void {
  chain.next[item] = chain.head
  chain.head = item
}

/** Takes out the item that stands behind `before`, −1 for the first of all. */
export function takeOut(chain: Chain, before: number, item: number): void {
  const { next } = chain
  if (before < 0) chain.head = next[item] as number
  else next[before] = next[item] as number
}

export function listChain({ head, next }: Chain, items: Int32Array): number {
  let listed = 0
  for (let item = head; item >= 0; item = next[item] as number) {
    items[listed] = item
    listed += 1
  }
  return listed
}

export function areaOfChain(
  { head, next }: Chain,
  { widths, heights }: { readonly widths: Int32Array; readonly heights: Int32Array },
): number {
  let area = 0
  for (let item = head; item >= 0; item = next[item] as number)
    area += (widths[item] as number) * (heights[item] as number)
  return area
}

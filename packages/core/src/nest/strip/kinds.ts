import { putFirst, type Chain } from './filler.js'
import type { Kit } from './kit.js'

/** The rectangles of a kit by kind, those with the smallest side first: what a beam search chooses from. */
export interface Kinds {
  readonly count: number
  readonly width: Int32Array
  readonly height: Int32Array
  readonly turnable: Uint8Array
  /** The least width it can lie with. */
  readonly narrowest: Int32Array
  readonly smallestSide: Int32Array
  /** How many there are of each. */
  readonly many: Uint16Array
  /** Which rectangles of the kit are of each kind. */
  readonly items: readonly (readonly number[])[]
  /** The kinds, the smallest area first. */
  readonly smallFirst: readonly number[]
}

export function sortKinds(kit: Kit): Kinds {
  const { count, kinds, kindCount, widths, heights, turnable } = kit
  const items: number[][] = Array.from({ length: kindCount }, () => [])
  for (let item = 0; item < count; item += 1) items[kinds[item] as number]?.push(item)
  const one = (members: readonly number[]) => members[0] as number
  const small = (item: number) => Math.min(widths[item] as number, heights[item] as number)
  const narrow = (item: number) => (turnable[item] ? small(item) : (widths[item] as number))
  const areaOf = (sorted: readonly (readonly number[])[], kind: number) => {
    const item = one(sorted[kind] as readonly number[])
    return (widths[item] as number) * (heights[item] as number)
  }
  items.sort((members, others) => narrow(one(members)) - narrow(one(others)))
  return {
    count: kindCount,
    width: Int32Array.from(items, members => widths[one(members)] as number),
    height: Int32Array.from(items, members => heights[one(members)] as number),
    turnable: Uint8Array.from(items, members => turnable[one(members)] as number),
    narrowest: Int32Array.from(items, members => narrow(one(members))),
    smallestSide: Int32Array.from(items, members => small(one(members))),
    many: Uint16Array.from(items, members => members.length),
    items,
    smallFirst: items
      .map((_, kind) => kind)
      .toSorted((kind, other) => areaOf(items, kind) - areaOf(items, other)),
  }
}

export function widthOf({ width, height }: Kinds, kind: number, turned: number): number {
  return (turned ? height[kind] : width[kind]) as number
}

export function heightOf({ width, height }: Kinds, kind: number, turned: number): number {
  return (turned ? width[kind] : height[kind]) as number
}

/** Chains what is left of each kind when so many of it are laid, the largest first. */
export function chainLeft(
  chain: Chain,
  { items, smallFirst }: Kinds,
  laidOf: (kind: number) => number,
): void {
  chain.head = -1
  for (const kind of smallFirst) {
    const members = items[kind] as readonly number[]
    for (let member = laidOf(kind); member < members.length; member += 1)
      putFirst(chain, members[member] as number)
  }
}

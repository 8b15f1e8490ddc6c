import type { Kit, Laid } from './kit.js'

/** What a join does: blocks side by side or one above the other, the second turned first or not. */
export const sideBySide = 2
export const secondTurned = 1

/** A join as one number: the two blocks, of so many, and what is done with them. */
export function joinOf(one: number, other: number, count: number): number {
  return (one * count + other) << 2
}

export function firstOf(how: number, count: number): number {
  return Math.floor((how >> 2) / count)
}

export function secondOf(how: number, count: number): number {
  return (how >> 2) % count
}

/** Pieces that are joined already, each from the block’s own corner. */
export interface Block {
  readonly width: number
  readonly height: number
  readonly items: readonly {
    readonly item: number
    readonly x: number
    readonly y: number
    readonly turned: boolean
  }[]
}

/** Turned over the corner, if at all: x and y change places, and each piece is turned. */
export function turnIf(turn: boolean, block: Block): Block {
  if (!turn) return block
  return {
    width: block.height,
    height: block.width,
    items: block.items.map(({ item, x, y, turned }) => ({ item, x: y, y: x, turned: !turned })),
  }
}

function join(one: Block, other: Block, beside: boolean): Block {
  const moved = other.items.map(placed => ({
    ...placed,
    x: placed.x + (beside ? one.width : 0),
    y: placed.y + (beside ? 0 : one.height),
  }))
  return {
    width: beside ? one.width + other.width : one.width,
    height: beside ? one.height : one.height + other.height,
    items: [...one.items, ...moved],
  }
}

/** Joins once more what led to the end, this time with the pieces in the blocks, and lays them. */
export function replayJoins(
  { count, widths, heights }: Kit,
  hows: readonly number[],
  turned: boolean,
  laid: Laid,
): void {
  const blocks: Block[] = Array.from({ length: count }, (_, item) => ({
    width: widths[item] as number,
    height: heights[item] as number,
    items: [{ item, x: 0, y: 0, turned: false }],
  }))
  for (const how of hows) {
    const one = firstOf(how, count)
    const other = secondOf(how, count)
    const second = turnIf((how & secondTurned) !== 0, blocks[other] as Block)
    blocks[one] = join(blocks[one] as Block, second, (how & sideBySide) !== 0)
    blocks.splice(other, 1)
  }
  const { items } = turnIf(turned, blocks[0] as Block)
  for (const { item, x, y, turned: lies } of items) {
    laid.x[item] = x
    laid.y[item] = y
    laid.turned[item] = lies ? 1 : 0
  }
}

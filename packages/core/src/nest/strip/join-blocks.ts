import { addCandidate, createCandidates, pickBest } from './candidates.js'
import type { Kit, Laid } from './kit.js'

/**
 * Edge-to-edge cuts without any waste, looked for from the other end: two pieces that are alike in one side are joined to a
 * block, blocks are joined on, until one block is left. Where nothing may be lost there are few such joins, far fewer
 * than ways to begin cutting.
 */
export interface BlockJoiner {
  /** Looks for one block of just this size, keeping so many sets of blocks. Yields every few hundred microseconds. */
  readonly search: (wide: number, width: number, height: number, laid: Laid) => Generator<void, boolean>
}

interface Level {
  readonly width: Int32Array
  readonly height: Int32Array
}

/** What a join does: blocks side by side or one above the other, the second turned first or not. */
const sideBySide = 2
const secondTurned = 1

export function createBlockJoiner(kit: Kit, widest: number, random: () => number): BlockJoiner {
  const { count, widths, heights } = kit
  const candidates = createCandidates()
  // Blocks are turned whole: where some piece may not be, none is.
  const mayTurn = kit.turnable.every((turnable, item) => turnable === 1 || widths[item] === heights[item])
  const seen = new Set<number>()
  const history = { from: new Int32Array(count * widest), how: new Int32Array(count * widest) }
  let now = createLevel(widest * count)
  let then = createLevel(widest * count)
  let mostWide = 0
  let mostHigh = 0
  /** How many blocks have such a side; one and the same where blocks may be turned. */
  let ofWidth = new Uint16Array(0)
  let ofHeight = ofWidth

  const fits = (wide: number, high: number): boolean =>
    (wide <= mostWide && high <= mostHigh) || (mayTurn && high <= mostWide && wide <= mostHigh)

  /** Adds so many blocks like this to the counts of what has such a side. */
  const tally = (wide: number, high: number, by: number): void => {
    ofWidth[wide] = (ofWidth[wide] as number) + by
    ofHeight[high] = (ofHeight[high] as number) + by
  }

  const expand = (from: number, blocks: number): void => {
    const offset = from * count
    for (let at = offset; at < offset + blocks; at += 1)
      tally(now.width[at] as number, now.height[at] as number, 1)
    for (let one = 0; one < blocks; one += 1)
      for (let other = one + 1; other < blocks; other += 1) {
        const w = now.width[offset + one] as number
        const h = now.height[offset + one] as number
        const v = now.width[offset + other] as number
        const g = now.height[offset + other] as number
        const join = (one * count + other) << 2
        if (h === g && fits(w + v, h)) add(from, blocks, one, other, w + v, h, join | sideBySide)
        if (w === v && fits(w, h + g)) add(from, blocks, one, other, w, h + g, join)
        if (!mayTurn) continue
        if (h === v && fits(w + g, h))
          add(from, blocks, one, other, w + g, h, join | sideBySide | secondTurned)
        if (w === g && fits(w, h + v)) add(from, blocks, one, other, w, h + v, join | secondTurned)
      }
    for (let at = offset; at < offset + blocks; at += 1)
      tally(now.width[at] as number, now.height[at] as number, -1)
  }

  /** The fewer blocks are left without anything to be joined to, the better. */
  const add = (
    from: number,
    blocks: number,
    one: number,
    other: number,
    wide: number,
    high: number,
    how: number,
  ): void => {
    const offset = from * count
    const w = now.width[offset + one] as number
    const h = now.height[offset + one] as number
    const v = now.width[offset + other] as number
    const g = now.height[offset + other] as number
    tally(w, h, -1)
    tally(v, g, -1)
    tally(wide, high, 1)
    let alone = 0
    let pairs = 0
    for (let at = 0; at <= blocks; at += 1) {
      if (at === one || at === other) continue
      const across = at === blocks ? wide : (now.width[offset + at] as number)
      const along = at === blocks ? high : (now.height[offset + at] as number)
      const own = mayTurn ? (across === along ? 4 : 2) : 2
      const partners =
        (ofWidth[across] as number) +
        (ofHeight[along] as number) -
        own +
        (across === mostWide || along === mostHigh ? 1 : 0)
      if (partners <= 0) alone += 1
      pairs += partners > 3 ? 3 : partners
    }
    tally(w, h, 1)
    tally(v, g, 1)
    tally(wide, high, -1)
    addCandidate(candidates, from, how, alone - 0.1 * pairs + 0.5 * random())
  }

  /** Lets the second block go, puts the join in the place of the first, and gives a hash of the blocks in any order. */
  const advance = (from: number, how: number, to: number, blocks: number): number => {
    const one = Math.floor((how >> 2) / count)
    const other = (how >> 2) % count
    const source = from * count
    const target = to * count
    let made = 0
    let hash = 0
    for (let at = 0; at < blocks; at += 1) {
      if (at === other) continue
      let wide = now.width[source + at] as number
      let high = now.height[source + at] as number
      if (at === one) {
        const turned = (how & secondTurned) !== 0
        const v = (turned ? now.height[source + other] : now.width[source + other]) as number
        const g = (turned ? now.width[source + other] : now.height[source + other]) as number
        if ((how & sideBySide) !== 0) wide += v
        else high += g
      }
      then.width[target + made] = wide
      then.height[target + made] = high
      made += 1
      const low = mayTurn && high < wide ? high : wide
      hash = (hash + Math.imul(Math.imul(low ^ 0x2545f491, 0x9e3779b1) ^ (wide + high), 0x85ebca6b)) | 0
    }
    return hash
  }

  function* search(wide: number, width: number, height: number, laid: Laid): Generator<void, boolean> {
    const most = Math.min(wide, widest)
    mostWide = width
    mostHigh = height
    const longest = Math.max(width, height, ...widths, ...heights) + 1
    ofWidth = new Uint16Array(longest)
    ofHeight = mayTurn ? ofWidth : new Uint16Array(longest)
    now.width.set(widths)
    now.height.set(heights)
    let size = 1
    for (let depth = 0; depth < count - 1; depth += 1) {
      const blocks = count - depth
      candidates.count = 0
      for (let from = 0; from < size; from += 1) {
        expand(from, blocks)
        yield
      }
      const picked = pickBest(candidates, 3 * most)
      seen.clear()
      size = 0
      for (let rank = 0; rank < picked && size < most; rank += 1) {
        const candidate = candidates.ranked[rank] as number
        const from = candidates.from[candidate] as number
        const how = candidates.how[candidate] as number
        const hash = advance(from, how, size, blocks)
        if (seen.has(hash)) continue
        seen.add(hash)
        history.from[depth * widest + size] = from
        history.how[depth * widest + size] = how
        size += 1
      }
      if (size === 0) return false
      const swap = now
      now = then
      then = swap
    }
    for (let at = 0; at < size; at += 1) {
      const w = now.width[at * count]
      const h = now.height[at * count]
      const lies = w === width && h === height
      if (!lies && !(mayTurn && w === height && h === width)) continue
      replay(at, !lies, laid)
      return true
    }
    return false
  }

  /** Joins once more what led to the end, this time with the pieces in the blocks. */
  const replay = (last: number, turned: boolean, laid: Laid): void => {
    const hows: number[] = []
    for (let depth = count - 2, at = last; depth >= 0; depth -= 1) {
      hows.push(history.how[depth * widest + at] as number)
      at = history.from[depth * widest + at] as number
    }
    const blocks: Block[] = Array.from({ length: count }, (_, item) => ({
      width: widths[item] as number,
      height: heights[item] as number,
      items: [{ item, x: 0, y: 0, turned: false }],
    }))
    for (const how of hows.reverse()) {
      const one = Math.floor((how >> 2) / count)
      const other = (how >> 2) % count
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
  return { search }
}

interface Block {
  readonly width: number
  readonly height: number
  readonly items: readonly {
    readonly item: number
    readonly x: number
    readonly y: number
    readonly turned: boolean
  }[]
}

/** Turned over the corner: x and y change places, and each piece is turned. */
function turnIf(turn: boolean, block: Block): Block {
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

function createLevel(room: number): Level {
  return { width: new Int32Array(room), height: new Int32Array(room) }
}

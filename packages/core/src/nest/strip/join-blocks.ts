import { firstOf, joinOf, replayJoins, secondOf, secondTurned, sideBySide } from './blocks.js'
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

export function createBlockJoiner(kit: Kit, widest: number, random: () => number): BlockJoiner {
  const { count, widths, heights } = kit
  const candidates = createCandidates()
  // Blocks are turned whole: where some piece may not be, none is.
  const mayTurn = kit.turnable.every((turnable, item) => turnable === 1 || widths[item] === heights[item])
  const seen = new Set<number>()
  const history = { from: new Int32Array(count * widest), how: new Int32Array(count * widest) }
  /** The two blocks that are looked at, and the set that they are of: where it begins, and how many it has. */
  const pair = { offset: 0, blocks: 0, one: 0, other: 0 }
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

  /** Adds every join of two blocks of a set that are alike in one side. */
  const expand = (from: number, blocks: number): void => {
    const offset = from * count
    tallyAll(offset, blocks, 1)
    pair.offset = offset
    pair.blocks = blocks
    for (let one = 0; one < blocks; one += 1) {
      pair.one = one
      const width = now.width[offset + one] as number
      const height = now.height[offset + one] as number
      for (let other = one + 1; other < blocks; other += 1) {
        pair.other = other
        const wide = now.width[offset + other] as number
        const high = now.height[offset + other] as number
        if (height === high) consider(from, width + wide, height, sideBySide)
        if (width === wide) consider(from, width, height + high, 0)
        if (!mayTurn) continue
        if (height === wide) consider(from, width + high, height, sideBySide | secondTurned)
        if (width === high) consider(from, width, height + wide, secondTurned)
      }
    }
    tallyAll(offset, blocks, -1)
  }

  /** Adds a join of the pair to a block of this size, if it can be part of what is looked for. */
  const consider = (from: number, across: number, along: number, how: number): void => {
    if (!fits(across, along)) return
    tallyJoin(across, along, 1)
    const score = scoreOf(across, along)
    tallyJoin(across, along, -1)
    addCandidate(candidates, from, joinOf(pair.one, pair.other, count) | how, score)
  }

  /** Counts the sides of a set of blocks, or takes them off the count again. */
  const tallyAll = (offset: number, blocks: number, by: 1 | -1): void => {
    for (let at = offset; at < offset + blocks; at += 1)
      tally(now.width[at] as number, now.height[at] as number, by)
  }

  /** Counts the block that the pair is joined to instead of the pair, or the other way round. */
  const tallyJoin = (across: number, along: number, by: 1 | -1): void => {
    const { offset, one, other } = pair
    tally(now.width[offset + one] as number, now.height[offset + one] as number, -by)
    tally(now.width[offset + other] as number, now.height[offset + other] as number, -by)
    tally(across, along, by)
  }

  /** The fewer blocks are left without anything to be joined to, the better; more partners are a little better. */
  const scoreOf = (across: number, along: number): number => {
    const { offset, blocks, one, other } = pair
    const { width, height } = now
    const made = partnersOf(across, along)
    let alone = made <= 0 ? 1 : 0
    let pairs = 0
    for (let at = 0; at < blocks; at += 1) {
      if (at === one || at === other) continue
      const partners = partnersOf(width[offset + at] as number, height[offset + at] as number)
      if (partners <= 0) alone += 1
      pairs += partners > 3 ? 3 : partners
    }
    return alone - 0.1 * (pairs + (made > 3 ? 3 : made)) + 0.5 * random()
  }

  /** How many of the blocks that are counted are alike in a side; the block that is looked for is one, too. */
  const partnersOf = (across: number, along: number): number => {
    const itself = mayTurn && across === along ? 4 : 2
    const isAsAsked = across === mostWide || along === mostHigh
    return (ofWidth[across] as number) + (ofHeight[along] as number) - itself + (isAsAsked ? 1 : 0)
  }

  /** Lets the second block go, puts the join in the place of the first, and gives a hash of the blocks in any order. */
  const advance = (from: number, how: number, to: number, blocks: number): number => {
    const one = firstOf(how, count)
    const other = secondOf(how, count)
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
      replayJoins(kit, wayTo(at), !lies, laid)
      return true
    }
    return false
  }

  /** The joins that led to a set of the last level, the first one first. */
  const wayTo = (last: number): readonly number[] => {
    const hows: number[] = []
    for (let depth = count - 2, at = last; depth >= 0; depth -= 1) {
      hows.push(history.how[depth * widest + at] as number)
      at = history.from[depth * widest + at] as number
    }
    return hows.reverse()
  }
  return { search }
}

function createLevel(room: number): Level {
  return { width: new Int32Array(room), height: new Int32Array(room) }
}

import type { Filler } from './filler.js'
import type { Kit, Laid } from './kit.js'
import type { Room, RoomsWithin } from './rooms.js'

export interface Reorderer {
  /** Tries so many orders within a limit; true once one leaves nothing out, with its layout in `laid`. */
  readonly search: (limit: number, tries: number, laid: Laid) => boolean
}

/** Local search over the order in which pieces fill gaps: two change places, and stay where no more is left out. */
export function createReorderer(
  kit: Kit,
  filler: Filler,
  roomsWithin: RoomsWithin,
  random: () => number,
): Reorderer {
  const { count, widths, heights, kinds } = kit
  const order = new Int32Array(count)
  const keys: readonly ((item: number) => number)[] = [
    item => (widths[item] as number) * (heights[item] as number),
    item => heights[item] as number,
    item => widths[item] as number,
    item => (widths[item] as number) + (heights[item] as number),
  ]
  const items = Array.from({ length: count }, (_, item) => item)
  const outItems = new Int32Array(count)
  let outCount = 0
  let begun = 0
  let limit = -1
  let out = Infinity
  let stale = 0

  /** From the largest to the smallest, in the four senses of large; then roughly so. */
  const restart = (): void => {
    const key = keys[begun % keys.length] as (item: number) => number
    const noise = begun < keys.length ? 0 : 0.3
    begun += 1
    const value = items.map(item => key(item) * (1 + noise * (random() - 0.5)))
    order.set(items.toSorted((one, other) => (value[other] as number) - (value[one] as number)))
    stale = 0
    out = Infinity
  }

  /** What was left out is moved half of the time. */
  const pickPlace = (): number =>
    outCount > 0 && random() < 0.5
      ? order.indexOf(outItems[Math.floor(random() * outCount)] as number)
      : Math.floor(random() * count)

  const change = (rooms: readonly Room[], laid: Laid): void => {
    const one = Math.floor(random() * count)
    const other = pickPlace()
    if (kinds[order[one] as number] === kinds[order[other] as number]) return
    swap(order, one, other)
    const left = filler.fill(order, rooms, out, laid)
    stale = left < out ? 0 : stale + 1
    if (left > out) swap(order, one, other)
    else accept(left)
  }

  const accept = (left: number): void => {
    out = left
    outCount = filler.listOut(outItems)
  }

  return {
    search: (within, tries, laid) => {
      const rooms = roomsWithin(within)
      if (within !== limit) {
        limit = within
        begun = 0
        restart()
      }
      for (let tried = 0; tried < tries && out > 0; tried += 1) {
        if (out === Infinity) accept(filler.fill(order, rooms, Infinity, laid))
        else change(rooms, laid)
        if (out > 0 && stale > 40 * count + 200) restart()
      }
      return out === 0
    },
  }
}

function swap(order: Int32Array, one: number, other: number): void {
  const kept = order[one] as number
  order[one] = order[other] as number
  order[other] = kept
}

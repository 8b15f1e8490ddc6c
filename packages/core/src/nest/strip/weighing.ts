import type { Taste } from './beam.js'
import type { Kit } from './kit.js'
import { areaOfRooms, type Room } from './rooms.js'

/** How partial layouts are weighed against each other within one search. */
export interface Weighing {
  /** For layouts within these rooms. */
  readonly begin: (rooms: readonly Room[], taste: Taste) => void
  /** Whether so much lost area leaves too little for what is still to be laid. */
  readonly isTooMuch: (lost: number) => boolean
  /** Whether every bit of the rooms is needed. */
  readonly mayLoseNothing: () => boolean
  /** Low is good: what is lost and each edge or room that is left costs, what is laid gains. */
  readonly score: (lost: number, edges: number, area: number) => number
}

export function createWeighing({ area: total, count }: Kit, random: () => number): Weighing {
  const mean = total / count
  let mostLost = 0
  let edgeCost = 0
  let areaGain = 0
  let noise = 0
  return {
    begin: (rooms, taste) => {
      mostLost = areaOfRooms(rooms) - total
      edgeCost = taste.perEdge * mean
      areaGain = taste.perArea
      noise = taste.noise * mean
    },
    isTooMuch: lost => lost > mostLost,
    mayLoseNothing: () => mostLost <= 0,
    score: (lost, edges, area) => lost + edgeCost * edges - areaGain * area + noise * random(),
  }
}

/** What every level of a beam search knows of its partial layouts, by their number. */
export interface Level {
  /** How many stretches or rooms a layout has. */
  readonly count: Int32Array
  /** Which of them is filled next. */
  readonly next: Int32Array
  readonly lost: Float64Array
  readonly area: Float64Array
}

export function createLevel(widest: number): Level {
  return {
    count: new Int32Array(widest),
    next: new Int32Array(widest),
    lost: new Float64Array(widest),
    area: new Float64Array(widest),
  }
}

/** The layout before anything is laid. */
export function beginLevel(level: Level): void {
  level.lost[0] = 0
  level.area[0] = 0
}

/** A layout with one piece more than it had on the level before. */
export function goOn(now: Level, from: number, then: Level, to: number, areaLaid: number): void {
  then.lost[to] = now.lost[from] as number
  then.area[to] = (now.area[from] as number) + areaLaid
}

/** Another layout of the same level that has lost and laid the same. */
export function copyWithin(level: Level, from: number, to: number): void {
  level.count[to] = level.count[from] as number
  level.lost[to] = level.lost[from] as number
  level.area[to] = level.area[from] as number
}

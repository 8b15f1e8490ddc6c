import type { Room } from './rooms.js'

/** The upper edge of what lies in a row of rooms so far: level stretches from left to right, no two neighbours alike. */
export interface Skyline {
  count: number
  readonly x: Int32Array
  readonly y: Int32Array
  readonly width: Int32Array
}

export function createSkyline(rectangles: number, rooms: number): Skyline {
  const room = 2 * (rectangles + rooms) + 3
  return { count: 0, x: new Int32Array(room), y: new Int32Array(room), width: new Int32Array(room) }
}

/** Back to the empty rooms: a floor each, and a wall as high as the rooms between any two. */
export function standUp(skyline: Skyline, rooms: readonly Room[]): void {
  const { x, y, width } = skyline
  let made = 0
  rooms.forEach((room, index) => {
    if (index > 0) {
      x[made] = room.x - 1
      y[made] = room.y + room.height
      width[made] = 1
      made += 1
    }
    x[made] = room.x
    y[made] = room.y
    width[made] = room.width
    made += 1
  })
  skyline.count = made
}

/** Raises a stretch to its lower neighbour and joins them. A single stretch has none and must not be raised. */
export function raise(skyline: Skyline, at: number): void {
  const { y, count } = skyline
  const left = at > 0 ? (y[at - 1] as number) : Infinity
  const right = at < count - 1 ? (y[at + 1] as number) : Infinity
  y[at] = left < right ? left : right
  joinAround(skyline, at)
}

/** Lifts the left end of the stretch `at`, which must be at least so wide. */
export function liftLeftEnd(skyline: Skyline, at: number, wide: number, height: number): void {
  const { x, y, width } = skyline
  const over = (width[at] as number) - wide
  if (over > 0) {
    moveTail(skyline, at + 1, 1)
    x[at + 1] = (x[at] as number) + wide
    y[at + 1] = y[at] as number
    width[at + 1] = over
    width[at] = wide
  }
  y[at] = height
  joinAround(skyline, at)
}

/** Lifts the right end of the stretch `at`, which must be at least so wide. */
export function liftRightEnd(skyline: Skyline, at: number, wide: number, height: number): void {
  const { x, y, width } = skyline
  const over = (width[at] as number) - wide
  if (over === 0) {
    y[at] = height
    joinAround(skyline, at)
    return
  }
  moveTail(skyline, at + 1, 1)
  width[at] = over
  x[at + 1] = (x[at] as number) + over
  y[at + 1] = height
  width[at + 1] = wide
  joinAround(skyline, at + 1)
}

function joinAround(skyline: Skyline, at: number): void {
  if (at < skyline.count - 1 && skyline.y[at] === skyline.y[at + 1]) joinNext(skyline, at)
  if (at > 0 && skyline.y[at] === skyline.y[at - 1]) joinNext(skyline, at - 1)
}

function joinNext(skyline: Skyline, at: number): void {
  const { width } = skyline
  width[at] = (width[at] as number) + (width[at + 1] as number)
  moveTail(skyline, at + 2, -1)
}

/** Moves all stretches from one on by so many places and counts them anew. Loops: the stretches are too few for more. */
function moveTail(skyline: Skyline, from: number, by: number): void {
  const { x, y, width, count } = skyline
  if (by > 0)
    for (let at = count - 1; at >= from; at -= 1) {
      x[at + by] = x[at] as number
      y[at + by] = y[at] as number
      width[at + by] = width[at] as number
    }
  else
    for (let at = from; at < count; at += 1) {
      x[at + by] = x[at] as number
      y[at + by] = y[at] as number
      width[at + by] = width[at] as number
    }
  skyline.count = count + by
}

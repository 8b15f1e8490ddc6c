import { copyWithin, createLevel, type Level } from './level.js'

/** Partial layouts as the rooms they leave, at most `most` for each layout. */
export interface RoomLevel extends Level {
  readonly most: number
  readonly x: Int32Array
  readonly y: Int32Array
  readonly width: Int32Array
  readonly height: Int32Array
}

export function createRoomLevel(widest: number, most: number): RoomLevel {
  return {
    ...createLevel(widest),
    most,
    x: new Int32Array(widest * most),
    y: new Int32Array(widest * most),
    width: new Int32Array(widest * most),
    height: new Int32Array(widest * most),
  }
}

export function copyRooms(level: RoomLevel, from: number, to: number): void {
  const { most } = level
  const rooms = level.count[from] as number
  for (const numbers of [level.x, level.y, level.width, level.height])
    numbers.copyWithin(to * most, from * most, from * most + rooms)
  copyWithin(level, from, to)
}

export function dropRoom(level: RoomLevel, which: number, at: number): void {
  const { most } = level
  const last = (level.count[which] as number) - 1
  level.count[which] = last
  for (const numbers of [level.x, level.y, level.width, level.height])
    numbers[which * most + at] = numbers[which * most + last] as number
}

/** The room to fill next: the tightest. */
export function tightestRoom(level: RoomLevel, which: number): number {
  const { most } = level
  const offset = which * most
  let found = 0
  let least = Infinity
  for (let at = 0; at < (level.count[which] as number); at += 1) {
    const wide = level.width[offset + at] as number
    const high = level.height[offset + at] as number
    const key = wide * high
    if (key >= least) continue
    least = key
    found = at
  }
  return found
}

/** Rooms count by their sizes only, in whatever order. */
export function hashOfRooms({ most, count, width, height }: RoomLevel, which: number, start: number): number {
  const offset = which * most
  let hash = start
  for (let at = offset; at < offset + (count[which] as number); at += 1) {
    const mixed = Math.imul(width[at] as number, 0x9e3779b1) ^ (height[at] as number)
    hash = (hash + Math.imul(mixed ^ (mixed >>> 15), 0x85ebca6b)) | 0
  }
  return hash >>> 0
}

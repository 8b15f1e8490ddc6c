import { copyWithin, createLevel, type Level } from './level.js'

/** Partial layouts as skylines: where each stretch begins and how high it stands, `room` of them for each layout. */
export interface SkylineLevel extends Level {
  readonly room: number
  readonly x: Int32Array
  readonly y: Int32Array
}

/** Higher than anything: the walls at both ends. */
export const far = 1e9

export function createSkylineLevel(widest: number, room: number): SkylineLevel {
  return {
    ...createLevel(widest),
    room,
    x: new Int32Array(widest * room),
    y: new Int32Array(widest * room),
  }
}

export function copySkyline(level: SkylineLevel, from: number, to: number): void {
  const { room } = level
  const offset = from * room
  for (const numbers of [level.x, level.y])
    numbers.copyWithin(to * room, offset, offset + (level.count[from] as number))
  copyWithin(level, from, to)
}

export function lowestGap({ room, count, y }: SkylineLevel, which: number): number {
  const offset = which * room
  const stretches = count[which] as number
  let found = 0
  for (let at = 1; at < stretches; at += 1)
    if ((y[offset + at] as number) < (y[offset + found] as number)) found = at
  return found
}

/** Where a stretch ends: at the next, or at the end of the cloth. */
export function endOfStretch(
  { room, count, x }: SkylineLevel,
  which: number,
  at: number,
  width: number,
): number {
  return at + 1 < (count[which] as number) ? (x[which * room + at + 1] as number) : width
}

/** How high it is beside a stretch, at its left and at its right. */
export function leftOf({ room, y }: SkylineLevel, which: number, at: number): number {
  return at > 0 ? (y[which * room + at - 1] as number) : far
}

export function rightOf({ room, count, y }: SkylineLevel, which: number, at: number): number {
  return at + 1 < (count[which] as number) ? (y[which * room + at + 1] as number) : far
}

export function dropStretch(level: SkylineLevel, which: number, at: number): void {
  const { room, count, x, y } = level
  const offset = which * room
  const stretches = count[which] as number
  for (let next = offset + at + 1; next < offset + stretches; next += 1) {
    x[next - 1] = x[next] as number
    y[next - 1] = y[next] as number
  }
  count[which] = stretches - 1
}

/** Skylines count by where their stretches stand, in their order. */
export function hashOfSkyline({ room, count, x, y }: SkylineLevel, which: number, start: number): number {
  const offset = which * room
  let hash = start
  for (let at = 0; at < (count[which] as number); at += 1) {
    const mixed = Math.imul(hash ^ (x[offset + at] as number), 0x9e3779b1)
    hash = (mixed + Math.imul(y[offset + at] as number, 0x85ebca6b)) | 0
  }
  return hash >>> 0
}

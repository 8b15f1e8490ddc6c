/**
 * A rectangle of cloth that pieces may be laid into. Rooms stand side by side on one number line (`x`), one apart, with
 * their far ends level, so that one number tells which room a place is in. `y` counts from where the room begins to
 * `y + height`, which is alike for all.
 */
export interface Room {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
  /** Where the room really is: on which sheet, and how far from its corner. */
  readonly sheet: number
  readonly left: number
  readonly bottom: number
}

/** The rooms that there are where the open sheet may be used up to a length. */
export type RoomsWithin = (limit: number) => readonly Room[]

export type RoomOnSheet = Pick<Room, 'width' | 'height' | 'sheet' | 'left' | 'bottom'>

/** Stands rooms side by side. */
export function inARow(rooms: readonly RoomOnSheet[]): readonly Room[] {
  const end = Math.max(0, ...rooms.map(({ height }) => height))
  let x = 0
  return rooms
    .filter(({ width, height }) => width > 0 && height > 0)
    .map(room => {
      const standing = { ...room, x, y: end - room.height }
      x += room.width + 1
      return standing
    })
}

/** How far every room of the row reaches; 0 for none. */
export function endOfRooms(rooms: readonly Room[]): number {
  const [first] = rooms
  return first ? first.y + first.height : 0
}

export function areaOfRooms(rooms: readonly Pick<Room, 'width' | 'height'>[]): number {
  return rooms.reduce((sum, { width, height }) => sum + width * height, 0)
}

/** Which room of the row a place is in. Rooms stand in the order of `x`. */
export function roomAt(rooms: readonly Room[], x: number): Room {
  const room = rooms.findLast(candidate => candidate.x <= x)
  if (!room) throw new Error(`There is no room at ${x}`)
  return room
}

import { boundOfStrip } from './bound.js'
import { roomsByCuts, roomsByStrips } from './rooms-around-pins.js'
import { areaOfRooms, inARow, type RoomOnSheet, type RoomsWithin } from './strip/rooms.js'
import type { Sheet, Task } from './task.js'

/** The rooms of a sheet, up to a length, that are not pinned down. */
export function roomsOn(
  { request, parting }: Task,
  sheet: Sheet,
  height = sheet.length ?? 0,
): readonly RoomOnSheet[] {
  const ground = { x: 0, y: 0, width: sheet.width, height }
  const { pins, avoided } = sheet
  const parted = roomsByCuts(ground, { pins, avoided, parting })
  const rooms = parted ?? (request.cuts === 'scissors' ? roomsByStrips(ground, [...pins, ...avoided]) : [])
  return rooms.map(({ x, y, width, height: high }) => ({
    width,
    height: high,
    sheet: sheet.index,
    left: x,
    bottom: y,
  }))
}

/** The rooms of sheets that are there to be used whole. */
export function roomsOnAll(task: Task, sheets: readonly Sheet[]): readonly RoomOnSheet[] {
  return sheets.flatMap(sheet => roomsOn(task, sheet))
}

/** There are never more rooms than that around the pins; cuts that go through avoided places make more of them. */
export function mostRoomsOn(sheets: readonly Sheet[]): number {
  return sheets.reduce((sum, { pins, avoided }) => {
    const inTheWay = pins.length + avoided.length
    return sum + (2 * inTheWay + 1) * ((avoided.length > 0 ? 2 : 1) * inTheWay + 1)
  }, 0)
}

/** Whole sheets, and one that is used up to a limit. */
export function rowOf(task: Task, fixed: readonly Sheet[], open: Sheet): RoomsWithin {
  const whole = roomsOnAll(task, fixed)
  return limit => inARow([...whole, ...roomsOn(task, open, Math.min(limit, open.length ?? limit))])
}

/** How far along the sheet its pins reach. */
export function endOfPins({ pins }: Sheet): number {
  return Math.max(0, ...pins.map(({ y, height }) => y + height))
}

/** From there on a sheet is free from edge to edge. */
export function endOfObstacles({ pins, avoided }: Sheet): number {
  return Math.max(0, ...[...pins, ...avoided].map(({ y, height }) => y + height))
}

/** What of the open sheet is needed at least. */
export function lowerOf(task: Task, fixed: readonly Sheet[], open: Sheet): number {
  if (fixed.length === 0 && open.pins.length === 0) return boundOfStrip(task.bare, open.width)
  const elsewhere = areaOfRooms(roomsOnAll(task, fixed))
  const inPins = areaOfRooms(open.pins)
  return Math.max(endOfPins(open), Math.ceil((task.bare.area + inPins - elsewhere) / open.width))
}

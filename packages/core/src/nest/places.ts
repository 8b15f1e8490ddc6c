import { add, longest, ofTicks, zero } from '../length/length.js'
import { meetingPlacements, movedToCorner } from './matches.js'
import type { Layout, Placement, UsedSheet } from './layout.js'
import { endOfPins } from './sheet-rooms.js'
import type { Laid } from './strip/kit.js'
import { roomAt, type Room } from './strip/rooms.js'
import type { Copy, Sheet, Task } from './task.js'

/** Where each piece of the kit lies; undefined where it is left out. */
export type Places = readonly (Place | undefined)[]

export interface Place {
  /** Its place among the sheets of the task. */
  readonly sheet: number
  readonly x: number
  readonly y: number
  readonly turned: boolean
}

/** What a search has laid in a row of rooms, on the sheets that the rooms are on. */
export function placesOf(
  { kit }: Task,
  rooms: readonly Room[],
  { x, y, turned }: Laid,
  leftOut: ReadonlySet<number> = new Set(),
): Places {
  return Array.from({ length: kit.count }, (_, item) => {
    if (leftOut.has(item)) return undefined
    const room = roomAt(rooms, x[item] as number)
    return {
      sheet: room.sheet,
      x: room.left + (x[item] as number) - room.x,
      y: room.bottom + (y[item] as number) - room.y,
      turned: turned[item] === 1,
    }
  })
}

/** How far along a sheet its pieces reach, the gap behind the last included. */
export function usedLength({ kit }: Task, sheet: Sheet, places: Places): number {
  return places.reduce(
    (length, place, item) =>
      place?.sheet === sheet.index
        ? Math.max(length, place.y + ((place.turned ? kit.widths[item] : kit.heights[item]) as number))
        : length,
    endOfPins(sheet),
  )
}

/** The layout of a task in which pieces without a place are left out. `open` is the sheet that `lower` is known of. */
export function layoutOf(
  task: Task,
  places: Places,
  { open, lower = 0 }: { readonly open?: Sheet; readonly lower?: number } = {},
): Layout {
  const { kit, items, tooLarge, request, unit } = task
  const laid = places.flatMap((place, item) => (place ? [placementOf(task, items[item] as Copy, place)] : []))
  const placements = printMeeting(task, [...pinnedPlacements(task), ...laid])
  const used = task.sheets.flatMap((sheet): readonly UsedSheet[] => {
    const here = placements.filter(on => on.cloth === sheet.cloth.id && on.sheet === sheet.number)
    if (here.length === 0) return []
    const least = sheet.index === open?.index ? lower * unit - request.gap : boundOfPlaced(here, sheet)
    return [usedSheet(sheet, here, least)]
  })
  const out = places.flatMap((place, item) => (place ? [] : [items[item] as Copy]))
  const [only, ...more] = used
  return {
    placements,
    used,
    unplaced: [
      ...tooLarge,
      ...out.map(({ piece, copy }) => ({ piece: piece.id, copy, why: 'no-room' as const })),
    ],
    best: kit.count === 0 || (out.length === 0 && more.length === 0 && only?.length === only?.bound),
  }
}

function printMeeting({ request, sheets }: Task, placements: readonly Placement[]): readonly Placement[] {
  if (!request.matches) return placements
  const taken = sheets.filter(({ pins, avoided }) => pins.length + avoided.length > 0)
  const isFree = (on: Placement) =>
    !taken.some(({ cloth, number }) => cloth.id === on.cloth && number === on.sheet)
  return movedToCorner(meetingPlacements(placements, request), isFree)
}

function usedSheet({ cloth, number }: Sheet, here: readonly Placement[], least: number): UsedSheet {
  const length = longest(zero, ...here.map(({ y, height }) => add(y, height)))
  const bound = ofTicks(Math.min(length, Math.max(0, least)))
  return { cloth: cloth.id, sheet: number, width: cloth.width, length, bound }
}

function placementOf(
  { sheets, unit }: Task,
  { piece, copy }: Copy,
  { sheet: index, x, y, turned }: Place,
): Placement {
  const sheet = sheets[index] as Sheet
  return {
    piece: piece.id,
    copy,
    cloth: sheet.cloth.id,
    sheet: sheet.number,
    x: ofTicks(x * unit),
    y: ofTicks(y * unit),
    width: turned ? piece.height : piece.width,
    height: turned ? piece.width : piece.height,
    turned,
  }
}

/** What lies on a sheet needs at least its area over the width, and its longest piece. */
function boundOfPlaced(placements: readonly Placement[], { cloth }: Sheet): number {
  const area = placements.reduce((sum, placed) => sum + placed.width * placed.height, 0)
  return Math.max(Math.ceil(area / cloth.width), ...placements.map(({ height }) => height))
}

function pinnedPlacements({ sheets }: Task): readonly Placement[] {
  return sheets.flatMap(({ cloth, number, pins }) =>
    pins.flatMap(({ piece: { id, width, height, pin }, turned }) =>
      pin
        ? [
            {
              piece: id,
              copy: 1,
              cloth: cloth.id,
              sheet: number,
              x: pin.x,
              y: pin.y,
              width: turned ? height : width,
              height: turned ? width : height,
              turned,
            },
          ]
        : [],
    ),
  )
}

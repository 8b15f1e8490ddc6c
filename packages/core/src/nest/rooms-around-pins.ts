/** A rectangle on one sheet, in whole units. */
export interface Rectangle {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** Which way a sheet is rather parted where both would do: so that the largest part stays whole, or all one way. */
export const partings = ['largest', 'along', 'across'] as const
export type Parting = (typeof partings)[number]

/** What stands in the way of rooms, and how they are parted round it. */
export interface InTheWay {
  readonly pins: readonly Rectangle[]
  /** Cuts leave every pin whole; through an avoided place they may go. */
  readonly avoided?: readonly Rectangle[]
  readonly parting?: Parting
}

/**
 * The free ground of a sheet around what is pinned to it and what is avoided, as rooms that do not overlap, parted by cuts
 * from edge to edge. Undefined where no such cut parts the pins.
 */
export function roomsByCuts(
  sheet: Rectangle,
  { pins, avoided = [], parting = 'largest' }: InTheWay,
): readonly Rectangle[] | undefined {
  if (sheet.width <= 0 || sheet.height <= 0) return []
  const here = { pins: pins.filter(pin => isIn(pin, sheet)), avoided: partsIn(sheet, avoided), parting }
  const taken = [...here.pins, ...here.avoided]
  if (taken.length === 0) return [sheet]
  if (taken.some(box => isSame(box, sheet))) return []
  const cut = bestCut(sheet, here)
  const rooms = cut?.map(part => roomsByCuts(part, here))
  return rooms?.every(found => found !== undefined) ? rooms.flat() : undefined
}

/** The same for scissors, where no edge-to-edge cut parts the pins: strips from side to side between them. */
export function roomsByStrips(sheet: Rectangle, pins: readonly Rectangle[]): readonly Rectangle[] {
  const levels = unique([sheet.y, endY(sheet), ...pins.flatMap(pin => [pin.y, endY(pin)])]).filter(
    y => y >= sheet.y && y <= endY(sheet),
  )
  return levels.slice(0, -1).flatMap((y, index) => {
    const height = (levels[index + 1] as number) - y
    const inTheWay = pins
      .filter(pin => pin.y < y + height && endY(pin) > y)
      .toSorted((one, other) => one.x - other.x)
    return freeStretches(sheet, inTheWay).map(([x, width]) => ({ x, y, width, height }))
  })
}

type Parts = readonly [Rectangle, Rectangle]

/** Of all cuts that cross no pin, those of the parting if there are any; of them the one with the largest free part. */
function bestCut(sheet: Rectangle, { pins, avoided, parting }: Required<InTheWay>): Parts | undefined {
  const taken = [...pins, ...avoided]
  const isWhole = (parts: Parts) =>
    parts.every(({ width, height }) => width > 0 && height > 0) &&
    pins.every(pin => parts.some(part => isIn(pin, part)))
  const across = taken.flatMap(box => [box.y, endY(box)].map(y => cutAcross(sheet, y))).filter(isWhole)
  const along = taken.flatMap(box => [box.x, endX(box)].map(x => cutAlong(sheet, x))).filter(isWhole)
  const free = (parts: Parts) =>
    Math.max(
      0,
      ...parts
        .filter(part => !taken.some(box => meets(box, part)))
        .map(({ width, height }) => width * height),
    )
  const [rather, otherwise] = parting === 'along' ? [along, across] : [across, along]
  const cuts = parting === 'largest' || rather.length === 0 ? [...rather, ...otherwise] : rather
  return cuts.toSorted((one, other) => free(other) - free(one))[0]
}

function cutAcross({ x, y, width, height }: Rectangle, at: number): Parts {
  return [
    { x, y, width, height: at - y },
    { x, y: at, width, height: y + height - at },
  ]
}

function cutAlong({ x, y, width, height }: Rectangle, at: number): Parts {
  return [
    { x, y, width: at - x, height },
    { x: at, y, width: x + width - at, height },
  ]
}

function freeStretches(
  sheet: Rectangle,
  inTheWay: readonly Rectangle[],
): readonly (readonly [number, number])[] {
  let x = sheet.x
  const free: [number, number][] = []
  for (const pin of inTheWay) {
    if (pin.x > x) free.push([x, pin.x - x])
    x = Math.max(x, endX(pin))
  }
  if (endX(sheet) > x) free.push([x, endX(sheet) - x])
  return free
}

/** What of the boxes lies within a part. */
export function partsIn(part: Rectangle, boxes: readonly Rectangle[]): readonly Rectangle[] {
  return boxes
    .filter(box => meets(box, part))
    .map(box => {
      const [x, y] = [Math.max(box.x, part.x), Math.max(box.y, part.y)]
      return {
        x,
        y,
        width: Math.min(endX(box), endX(part)) - x,
        height: Math.min(endY(box), endY(part)) - y,
      }
    })
}

/** Whether two lie over one another; edges that touch do not. */
export function meets(one: Rectangle, other: Rectangle): boolean {
  return one.x < endX(other) && other.x < endX(one) && one.y < endY(other) && other.y < endY(one)
}

function isIn(pin: Rectangle, part: Rectangle): boolean {
  return pin.x >= part.x && pin.y >= part.y && endX(pin) <= endX(part) && endY(pin) <= endY(part)
}

function isSame(one: Rectangle, other: Rectangle): boolean {
  return isIn(one, other) && isIn(other, one)
}

function endX({ x, width }: Rectangle): number {
  return x + width
}

function endY({ y, height }: Rectangle): number {
  return y + height
}

function unique(numbers: readonly number[]): readonly number[] {
  return [...new Set(numbers)].toSorted((one, other) => one - other)
}

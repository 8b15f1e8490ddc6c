/** A rectangle on one sheet, in whole units. */
export interface Rectangle {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/**
 * The free ground of a sheet around what is pinned to it, as rooms that do not overlap, parted by cuts from edge to edge
 * that leave every pin whole. Undefined where no such cut parts the pins.
 */
export function roomsByCuts(sheet: Rectangle, pins: readonly Rectangle[]): readonly Rectangle[] | undefined {
  if (sheet.width <= 0 || sheet.height <= 0) return []
  const [pin, ...more] = pins
  if (!pin) return [sheet]
  if (more.length === 0 && isSame(pin, sheet)) return []
  const cut = bestCut(sheet, pins)
  if (!cut) return undefined
  const [near, far] = cut
  const nearRooms = roomsByCuts(near, pinsIn(near, pins))
  const farRooms = roomsByCuts(far, pinsIn(far, pins))
  return nearRooms && farRooms ? [...nearRooms, ...farRooms] : undefined
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

/** Of all cuts that cross no pin, the one with the largest part free of pins; else the first. */
function bestCut(sheet: Rectangle, pins: readonly Rectangle[]): Parts | undefined {
  const across = pins.flatMap(pin => [pin.y, endY(pin)]).map(y => cutAcross(sheet, y))
  const along = pins.flatMap(pin => [pin.x, endX(pin)]).map(x => cutAlong(sheet, x))
  const whole = [...across, ...along].filter(
    parts =>
      parts.every(({ width, height }) => width > 0 && height > 0) &&
      pins.every(pin => parts.some(part => isIn(pin, part))),
  )
  const free = (parts: Parts) =>
    Math.max(
      0,
      ...parts.filter(part => pinsIn(part, pins).length === 0).map(({ width, height }) => width * height),
    )
  return whole.toSorted((one, other) => free(other) - free(one))[0]
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

function pinsIn(part: Rectangle, pins: readonly Rectangle[]): readonly Rectangle[] {
  return pins.filter(pin => isIn(pin, part))
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

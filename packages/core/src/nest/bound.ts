import type { Kit } from './strip/kit.js'

/**
 * A length that no layout on a strip of one width can go below: all area together, the tallest piece, and the area with
 * widths blown up by what cannot lie beside what (a piece wider than the strip less k takes the whole of it, one
 * narrower than k nothing). Source: S. Fekete, J. Schepers, New classes of fast lower bounds for bin packing problems,
 * Mathematical Programming 91 (2001).
 */
export function boundOfStrip(kit: Kit, width: number): number {
  let bound = Math.max(tallest(kit, width), Math.ceil(kit.area / width))
  for (const narrow of narrows(kit, width))
    bound = Math.max(bound, Math.ceil(blownUpArea(kit, width, narrow) / width))
  return bound
}

function tallest(kit: Kit, width: number): number {
  let tall = 0
  for (let item = 0; item < kit.count; item += 1) {
    const heights = ways(kit, item, width).map(([, high]) => high)
    tall = Math.max(tall, Math.min(...heights))
  }
  return tall
}

/** Half the strip, and each side that is shorter. */
function narrows(kit: Kit, width: number): readonly number[] {
  const sides = Array.from({ length: kit.count }, (_, item) =>
    ways(kit, item, width).map(([wide]) => wide),
  ).flat()
  return [width / 2, ...new Set(sides.filter(side => 2 * side < width))].slice(0, mostTried)
}

const mostTried = 200

function blownUpArea(kit: Kit, width: number, narrow: number): number {
  let area = 0
  for (let item = 0; item < kit.count; item += 1)
    area += Math.min(...ways(kit, item, width).map(([wide, high]) => blowUp(wide, width, narrow) * high))
  return area
}

function blowUp(wide: number, width: number, narrow: number): number {
  if (wide > width - narrow) return width
  return wide < narrow ? 0 : wide
}

/** Width and height of each way that a piece may lie; the one that it has where none goes onto the strip. */
function ways(
  { widths, heights, turnable }: Kit,
  item: number,
  width: number,
): readonly (readonly [number, number])[] {
  const wide = widths[item] as number
  const high = heights[item] as number
  const all =
    turnable[item] === 1
      ? ([
          [wide, high],
          [high, wide],
        ] as const)
      : ([[wide, high]] as const)
  const going = all.filter(([across]) => across <= width)
  return going.length > 0 ? going : [[wide, high]]
}

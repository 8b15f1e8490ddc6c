import type { Layout } from '../layout.js'
import type { LayoutRequest } from '../request.js'

/** What is wrong with a layout, judged from the request and nothing else. Empty where it is right. */
export function faultsOf(layout: Layout, request: LayoutRequest): readonly string[] {
  return [
    ...faultsOfCounts(layout, request),
    ...faultsOfPlaces(layout, request),
    ...faultsOfNeighbours(layout, request),
    ...faultsOfAvoided(layout, request),
    ...faultsOfLengths(layout),
  ]
}

function faultsOfCounts({ placements, unplaced }: Layout, { pieces }: LayoutRequest): readonly string[] {
  const named = [...placements, ...unplaced].map(({ piece, copy }) => `${piece} #${copy}`).toSorted()
  const wanted = pieces
    .flatMap(({ id, count }) => Array.from({ length: count }, (_, index) => `${id} #${index + 1}`))
    .toSorted()
  return named.join() === wanted.join() ? [] : [`asked for ${wanted.join()}, got ${named.join()}`]
}

function faultsOfPlaces({ placements }: Layout, { pieces, cloths }: LayoutRequest): readonly string[] {
  return placements.flatMap(({ piece: id, copy, cloth: on, sheet, x, y, width, height, turned }) => {
    const name = `${id} #${copy}`
    const piece = pieces.find(candidate => candidate.id === id)
    const cloth = cloths.find(candidate => candidate.id === on)
    if (!piece || !cloth) return [`${name} or its cloth is unknown`]
    const { pin } = piece
    const [wide, high] = turned ? [piece.height, piece.width] : [piece.width, piece.height]
    return [
      ...(wide === width && high === height ? [] : [`${name} has another size`]),
      ...(turned && piece.turn !== 'quarter' ? [`${name} may not be turned`] : []),
      ...(sheet >= 1 && sheet <= cloth.count ? [] : [`${name} lies on sheet ${sheet}`]),
      ...(x < 0 || y < 0 || x + width > cloth.width ? [`${name} lies over an edge`] : []),
      ...(y + height > (cloth.length ?? Infinity) ? [`${name} lies over the end`] : []),
      ...(pin && copy === 1 && !(pin.cloth === on && pin.sheet === sheet && pin.x === x && pin.y === y)
        ? [`${name} is not where it is pinned`]
        : []),
    ]
  })
}

function faultsOfNeighbours({ placements }: Layout, { gap }: LayoutRequest): readonly string[] {
  return placements.flatMap((one, index) =>
    placements
      .slice(index + 1)
      .filter(other => one.cloth === other.cloth && one.sheet === other.sheet)
      .filter(
        other =>
          one.x < other.x + other.width + gap &&
          other.x < one.x + one.width + gap &&
          one.y < other.y + other.height + gap &&
          other.y < one.y + one.height + gap,
      )
      .map(other => `${one.piece} #${one.copy} and ${other.piece} #${other.copy} come too close`),
  )
}

function faultsOfAvoided({ placements }: Layout, { cloths }: LayoutRequest): readonly string[] {
  return placements.flatMap(({ piece, copy, cloth, x, y, width, height }) =>
    (cloths.find(({ id }) => id === cloth)?.avoid ?? [])
      .filter(
        place =>
          x < place.x + place.width &&
          place.x < x + width &&
          y < place.y + place.height &&
          place.y < y + height,
      )
      .map(place => `${piece} #${copy} lies over what is to be avoided at ${place.x}, ${place.y}`),
  )
}

function faultsOfLengths({ placements, used }: Layout): readonly string[] {
  const key = (on: { readonly cloth: string; readonly sheet: number }) => `${on.cloth} ${on.sheet}`
  const missing = placements.filter(placed => !used.some(sheet => key(sheet) === key(placed)))
  return [
    ...missing.map(placed => `${key(placed)} is not among what is used`),
    ...used.flatMap(sheet => {
      const ends = placements.filter(placed => key(placed) === key(sheet)).map(({ y, height }) => y + height)
      return [
        ...(Math.max(...ends) === sheet.length ? [] : [`${key(sheet)} has another length`]),
        ...(sheet.bound <= sheet.length ? [] : [`${key(sheet)} is shorter than its bound`]),
      ]
    }),
  ]
}

import { placePanels, totalWidth, type Face, type StripPoint } from '../families/strip.js'
import type { Trait } from '../families/trait.js'
import { add, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { deriveThickness } from '../object/derive.js'
import { largestReading, type CoveredObject } from '../object/reading.js'
import type { ExtraJob, Footprint, SizeNote } from './contract.js'
import type { Place, PlaceKey } from './place-keys.js'

/** How thick the closed thing is, as far as its readings tell. */
export function closedThickness(object: CoveredObject): Length {
  return deriveThickness(object) ?? largestReading(object, 'contentsThickness') ?? zero
}

/** A place at which a closure begins, and which way it leads off the cover. */
export interface ClosureEnd {
  readonly at: StripPoint
  readonly way: readonly [-1 | 0 | 1, -1 | 0 | 1]
  readonly face: Face
}

/**
 * The two ends that a closure draws together: fore-edges of a book, the free ends of a wrap, the short ends of a case
 * that folds over, the mouths of a pouch. Along upright edges `y` from below moves them, along level ones `x` from the
 * left, on the far wall of a pouch as far from the same side seam; the middle where it is left out.
 */
export function closureEnds(
  { cover: { strip }, traits }: Pick<ExtraJob<unknown>, 'cover' | 'traits'>,
  { x, y }: Pick<Place, 'x' | 'y'> = {},
): readonly [ClosureEnd, ClosureEnd] {
  const placed = placePanels(strip.panels)
  const total = totalWidth(strip.panels)
  const high = strip.height
  const level = y === undefined ? scale(high, 1 / 2) : subtract(high, y)
  if (traits.includes('device')) {
    const wall = placed.find(({ kind }) => kind === 'wall')
    const across = x ?? scale(wall?.width ?? total, 1 / 2)
    if (!wall)
      return [
        { at: [across, zero], way: [0, -1], face: 'outside' },
        { at: [across, high], way: [0, 1], face: 'outside' },
      ]
    return [
      { at: [across, zero], way: [0, -1], face: 'outside' },
      { at: [subtract(scale(wall.width, 2), across), zero], way: [0, -1], face: 'outside' },
    ]
  }
  const sewnOn = traits.includes('flaps')
  const [first, last] = [placed.at(0), placed.at(-1)]
  const left = sewnOn && first?.kind === 'flap' ? first.width : zero
  const right = sewnOn && last?.kind === 'flap' ? last.width : zero
  return [
    { at: [left, level], way: [-1, 0], face: 'outside' },
    { at: [subtract(total, right), level], way: [1, 0], face: 'outside' },
  ]
}

/** What moves a closure along the edges that it draws together: level ones on a device, upright ones on all else. */
export function alongEnds(traits: readonly Trait[]): readonly PlaceKey[] {
  return traits.includes('device') ? ['x'] : ['y']
}

/** Where along its edges a closure sits: from below, or on a device's mouth from the side. */
export function alongEdge(
  job: Pick<ExtraJob<unknown>, 'cover' | 'traits'>,
  place: Pick<Place, 'x' | 'y'>,
): SizeNote {
  const [first] = closureEnds(job, place)
  if (first.way[0] === 0) return { label: 'middle from the side edge', length: first.at[0] }
  return { label: 'middle from the lower edge', length: subtract(job.cover.strip.height, first.at[1]) }
}

/** A point so far from an end on its way off the cover; back onto it where `by` is negative. */
export function offEnd({ at, way }: ClosureEnd, by: Length): StripPoint {
  const step = (sign: -1 | 0 | 1) => (sign === 0 ? zero : sign === 1 ? by : negate(by))
  return [add(at[0], step(way[0])), add(at[1], step(way[1]))]
}

/** Why what is sewn into a seam cannot go on glued boards. */
export function refusesGlued(traits: readonly Trait[]): string | undefined {
  return traits.includes('glued') && !traits.includes('boards')
    ? 'nothing can be sewn to cloth that is glued on for good.'
    : undefined
}

/** Why a cover that has a zip of its own, or whose cloth is glued on, takes no closure that is sewn in. */
export function refusesClosure(traits: readonly Trait[]): string | undefined {
  return refusesBesideZip(traits) ?? refusesGlued(traits)
}

export function refusesBesideZip(traits: readonly Trait[]): string | undefined {
  return traits.includes('zipped') ? 'it closes with its zip already.' : undefined
}

/** The ground of something so wide with its middle at a point of the outside; folds beneath do it no harm. */
export function groundAround([x, y]: StripPoint, across: Length): Footprint {
  const half = scale(across, 1 / 2)
  return {
    at: [subtract(x, half), subtract(y, half)],
    width: across,
    height: across,
    face: 'outside',
    crossesFolds: true,
  }
}

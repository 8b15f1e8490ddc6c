import { hasSides } from '../drawing/joining-drawing.js'
import { openingPlaces, type OpeningPlace } from '../families/opening-place.js'
import { roleOfLayer, type Joining, type PiledLayer } from '../families/joining.js'
import { absolute, inches, mm, scale, subtract, toMm, zero, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { Plan } from '../plan/plan.js'
import { ancestryOf } from './ancestry.js'
import type { Step } from './step.js'

/** A draw from 0 up to but not including 1, as a caller makes it: practice has no chance of its own. */
export type Draw = () => number

/** A reading to be taken off a drawn tape, on one of its marks. */
export function drawReading(draw: Draw, unit: Unit, division: Length): Length {
  const [least, most] = unit === 'in' ? [inches(1), inches(14)] : [mm(25), mm(350)]
  const marks = Math.floor((most - least) / division)
  return scale(division, Math.ceil(least / division) + Math.floor(draw() * marks))
}

/** How a reading was taken. */
export type ReadingGrade =
  | { readonly kind: 'right' }
  /** An eighth read for a sixteenth, or the other way round; a half centimetre counted as a mark. */
  | { readonly kind: 'eighth'; readonly off: Length }
  | { readonly kind: 'marks'; readonly off: Length; readonly marks: number }
  | { readonly kind: 'far'; readonly off: Length }

/** Right within half a mark. `off` is read less what was there: more than nothing is read too large. */
export function gradeReading(there: Length, read: Length, unit: Unit, division: Length): ReadingGrade {
  const off = subtract(read, there)
  const size = absolute(off)
  if (size * 2 <= division) return { kind: 'right' }
  const eighth = unit === 'in' ? inches(1 / 8) : mm(5)
  if (absolute(subtract(size, eighth)) * 2 <= division) return { kind: 'eighth', off }
  const marks = Math.round(size / division)
  return marks <= 4 ? { kind: 'marks', off, marks } : { kind: 'far', off }
}

/** What a misread height or wrap does to the ease: the cover is made for what was read. */
export function whatItDoes(off: Length): 'slack' | 'tight' | 'nothing' {
  return off > zero ? 'slack' : off < zero ? 'tight' : 'nothing'
}

/** Fewer readings than this tell nothing of a hand. */
export const readingsToTell = 8

/**
 * The division of a tape that is as uncertain as these readings were off: their root mean square times √12, for a reading
 * on a mark is uncertain by division/√12. Undefined while there are too few.
 */
export function divisionFromPractice(offs: readonly Length[]): Length | undefined {
  if (offs.length < readingsToTell) return undefined
  const square = offs.reduce((sum, off) => sum + toMm(off) ** 2, 0) / offs.length
  return mm(Math.sqrt(square * 12))
}

/** Which side of a layer in a pile looks up. */
export interface SideQuestion {
  readonly joining: Joining
  readonly layer: PiledLayer
}

/** A pile of the cover and one of its layers that has two sides; undefined where it has none. */
export function askSide(
  { joinings, pieces }: Pick<Plan, 'joinings' | 'pieces'>,
  draw: Draw,
): SideQuestion | undefined {
  const all = joinings.flatMap(joining =>
    joining.layers.filter(layer => hasSides(roleOfLayer(layer, pieces))).map(layer => ({ joining, layer })),
  )
  return all[Math.floor(draw() * all.length)]
}

/** Two steps of which one comes first, in the order in which they are asked about. */
export interface OrderQuestion {
  readonly steps: readonly [Step, Step]
  readonly first: Step
}

/** Two steps of a making of which one must come before the other; undefined where there are none. */
export function askOrder(steps: readonly Step[], draw: Draw): OrderQuestion | undefined {
  const { isBefore } = ancestryOf(new Map(steps.map(({ id, needs }) => [id, needs])))
  const asked = steps.filter(({ kind }) => kind !== 'cut' && kind !== 'finish')
  const pairs = asked.flatMap(then =>
    asked.filter(first => isBefore(first.id, then.id)).map(first => [first, then] as const),
  )
  const pair = pairs[Math.floor(draw() * pairs.length)]
  if (!pair) return undefined
  const [first, then] = pair
  return { first, steps: draw() < 0.5 ? [first, then] : [then, first] }
}

/** Where the gap for turning is left: one place of several, the others with what would go wrong there. */
export interface OpeningQuestion {
  readonly places: readonly OpeningAnswer[]
  readonly right: OpeningAnswer
}

export interface OpeningAnswer {
  readonly where: string
  readonly why: string
}

/** Where no opening ever goes, and what goes wrong there. */
const nowhere = {
  corner: {
    where: 'in a corner',
    why: 'A corner that is left open can be turned in neither way, and pulling the work through strains it.',
  },
  caught: {
    where: 'where a tie, a tab or a loop is caught',
    why: 'No stitch would hold what hangs there, and closing by the edge-stitch alone is not enough.',
  },
  flap: {
    where: 'where a flap’s end lies in the seam',
    why: 'The boards pull there each time the book is opened: that seam must run through.',
  },
  cutEnd: {
    where: 'in the end whose corners are cut off',
    why: 'Its slanted edges stretch, and its corners are what is looked at.',
  },
  outside: {
    where: 'in the outer’s bottom',
    why: 'It would be closed from outside, where it shows, and carry the thing.',
  },
} as const

/** Where this cover is turned through; undefined where nothing is. */
export function askOpening(
  { joinings, strip, pieces }: Pick<Plan, 'joinings' | 'strip' | 'pieces'>,
  draw: Draw,
): OpeningQuestion | undefined {
  const place = joinings.find(({ opening }) => opening !== undefined)?.opening
  if (!place) return undefined
  const { where, why } = openingPlaces[place]
  const right = { where, why }
  const wrong = [
    nowhere.corner,
    nowhere.caught,
    ...(strip.panels.some(({ kind }) => kind === 'flap') ? [nowhere.flap] : []),
    ...(place === 'straight-end' ? [nowhere.cutEnd] : []),
    ...(isLinedPouch(place, pieces) ? [nowhere.outside] : []),
  ]
  const at = Math.floor(draw() * (wrong.length + 1))
  return { right, places: [...wrong.slice(0, at), right, ...wrong.slice(at)] }
}

function isLinedPouch(place: OpeningPlace, pieces: Plan['pieces']): boolean {
  return (place === 'lining-bottom' || place === 'mouth') && pieces.some(({ id }) => id === 'lining')
}

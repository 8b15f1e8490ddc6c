import type { Direction } from '../../finding/finding.js'
import { toMm, zero, type Length } from '../../length/length.js'
import type { CoveredObject, ReadingKey } from '../../object/reading.js'
import { totalOf, type Reason } from '../../piece/reason.js'
import type { Making } from '../making.js'
import type { Hand } from './hand.js'

/** What a share of the spread can be laid to. */
export const sources = ['measuring', 'cutting', 'sewing', 'stack', 'take-up'] as const
export type Source = (typeof sources)[number]

/** One independent error: normal with a standard deviation, or uniform with a half-width. */
export interface Factor {
  readonly id: string
  readonly source: Source
  readonly shape: 'normal' | 'uniform'
  readonly spread: number
}

/** How many millimetres one unit of a factor's error adds. */
export interface Term {
  readonly factor: Factor
  readonly weight: number
  /** It does not add in proportion: what stands here is its part, and `weight` how steep that is as planned. */
  readonly slope?: { readonly riseMm: number; readonly runMm: number; readonly sign: number }
}

/** A plain sum: what it comes to as planned, and what adds to it. Millimetres. */
export interface LinearForm {
  readonly plannedMm: number
  readonly terms: readonly Term[]
}

/** An ease or a room: its linear part, less the larger of several sums, for each such choice. */
export interface Gauge {
  readonly main: LinearForm
  readonly larger: readonly (readonly LinearForm[])[]
}

/** What of a fit or a clearance enters its errors. */
export interface Gauged {
  /** Gauges of one dimension share its edges and lines. */
  readonly direction: Direction
  readonly plannedMm: number
  readonly parts: number
  readonly errs: readonly Reason[]
  readonly making: Making
  readonly thing: number
}

/** What is known of how well each thing was measured; a standard deviation, undefined where nothing was read. */
export type Uncertainty = (object: CoveredObject, key: ReadingKey) => Length | undefined

export interface Workmanship {
  readonly objects: readonly CoveredObject[]
  readonly hand: Hand
  readonly uncertainty: Uncertainty
}

/** How the errors of measuring and making reach one ease or room. Source: docs/craft.md, Chance of fitting. */
export function deriveGauge(gauged: Gauged, workmanship: Workmanship): Gauge {
  const { direction, errs, thing, parts } = gauged
  const tried = errs.some(({ cause }) => cause?.kind === 'trial')
  const need = { ...workmanship, direction, thing, tried }
  const choices = errs.flatMap(({ cause }) => (cause?.kind === 'larger' && !tried ? [cause.ways] : []))
  const larger = choices.map(ways => ways.map(way => wayForm(way, need, parts)))
  const chosen = larger.map(ways => Math.max(...ways.map(({ plannedMm }) => plannedMm)))
  const terms = [
    ...errs.flatMap(reason => needTerms(reason, need, -1 / parts)),
    ...makingTerms(gauged, workmanship.hand),
  ]
  return {
    main: {
      plannedMm: gauged.plannedMm + chosen.reduce((sum, mm) => sum + mm, 0) + bias(gauged, workmanship.hand),
      terms: terms.filter(({ factor, weight }) => factor.spread * weight !== 0),
    },
    larger,
  }
}

type Need = Workmanship & Pick<Gauged, 'direction' | 'thing'> & { readonly tried: boolean }

function wayForm(way: readonly Reason[], need: Need, parts: number): LinearForm {
  return {
    plannedMm: toMm(totalOf(way)) / parts,
    terms: way.flatMap(reason => needTerms(reason, need, 1 / parts)),
  }
}

/** A trial piece stands for every reading of its direction; what is left is how well it was read itself. */
function needTerms({ cause, length }: Reason, need: Need, sign: number): readonly Term[] {
  switch (cause?.kind) {
    case 'reading':
      return need.tried ? [] : readingTerm(cause.key, need, sign * cause.times)
    case 'bulk':
      return [{ factor: stackFactor(need.hand), weight: sign * toMm(length) }]
    case 'slope':
      return [slopeTerm(cause.rise, cause.run, need.hand, sign)]
    case 'trial':
      return [{ factor: trialFactor(need), weight: sign }]
    case 'larger':
    case undefined:
      return []
  }
}

function readingTerm(
  key: ReadingKey,
  { objects, thing, uncertainty }: Need,
  weight: number,
): readonly Term[] {
  const object = objects[thing]
  const spread = object && uncertainty(object, key)
  if (spread === undefined) return []
  const id = `reading:${key}:${thing}`
  return [{ factor: { id, source: 'measuring', shape: 'normal', spread: toMm(spread) }, weight }]
}

/** Two looks at the tape: how long the piece was, and what was over. */
function trialFactor({ objects, thing, direction }: Need): Factor {
  const division = objects[thing]?.tapeDivision ?? zero
  const spread = Math.SQRT2 * (toMm(division) / Math.sqrt(12))
  return { id: `trial:${direction}`, source: 'measuring', shape: 'normal', spread }
}

/** What inset padding adds on its way to the edge grows with the stack, but not in proportion. */
function slopeTerm(rise: Length, run: Length, hand: Hand, sign: number): Term {
  const [riseMm, runMm] = [toMm(rise), toMm(run)]
  const steepness = ((Math.PI / 2) * riseMm ** 2) / Math.hypot(riseMm, runMm)
  return { factor: stackFactor(hand), weight: sign * steepness, slope: { riseMm, runMm, sign } }
}

/** One factor for every bulk: a stack that is thicker than thought is so everywhere. */
function stackFactor({ stackShare }: Hand): Factor {
  return { id: 'stack', source: 'stack', shape: 'uniform', spread: stackShare }
}

/** Errors of several edges or lines of one dimension add up to a single normal one. */
function makingTerms({ direction, making, parts }: Gauged, hand: Hand): readonly Term[] {
  const normal = (source: Source, name: string, count: number, spread: number): Term => ({
    factor: { id: `${name}:${direction}`, source, shape: 'normal', spread: spread * Math.sqrt(count) },
    weight: 1 / parts,
  })
  const taken: Factor = { id: 'take-up', source: 'take-up', shape: 'uniform', spread: hand.takeUpShare }
  return [
    normal('cutting', 'edges', making.cutEdges, hand.edgeMm),
    normal('sewing', 'seams', making.seamLines, hand.lineMm),
    normal('sewing', 'folds', making.foldLines, hand.lineMm),
    { factor: taken, weight: -toMm(making.takenUp) / parts },
  ]
}

function bias({ making, parts }: Gauged, { seamBiasMm }: Hand): number {
  return (-making.seamLines * seamBiasMm) / parts
}

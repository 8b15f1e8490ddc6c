import type { Direction } from '../../finding/finding.js'
import { findExactness, type Exactness, type Tolerated } from './exactness.js'
import { endless, toMm } from '../../length/length.js'
import type { Clearance } from '../clearance.js'
import type { Fit } from '../fit.js'
import type { Verdict } from '../verdict.js'
import { chanceByEase, findBestEase, findMiddleEase } from './best-ease.js'
import type { Makes } from './makes.js'
import type { Gauge } from './model.js'
import { countHistogram, countVerdicts, markWithin, shareOf, type Histogram } from './odds.js'
import { shareVariance, spreadOf, type SourceShare } from './shares.js'

/** What would come of making a cover many times. Shares are 0–1. */
export interface Simulation {
  readonly makes: number
  readonly seed: number
  /** First-try chance: the share of makes that go on and are not baggy, both directions together. */
  readonly chance: number
  readonly directions: readonly DirectionOdds[]
  /** Of a cover for several things: the chance for each, counted from 1. */
  readonly serves: readonly { readonly book: number; readonly chance: number }[]
  /** The chance where every direction is cut to its best ease. */
  readonly bestChance: number
  /** How exact each handwork must be; only where it was asked for. */
  readonly exactness?: readonly Exactness[]
}

export interface DirectionOdds {
  readonly direction: Direction
  readonly fit: Fit
  readonly verdicts: Readonly<Partial<Record<Verdict, number>>>
  readonly sources: readonly SourceShare[]
  /** Standard deviation of the ease. */
  readonly spreadMm: number
  readonly histogram: Histogram
  /** The tightest ease that goes as good as always. */
  readonly bestEaseMm: number
  /** The ease at which the most makes come out snug or easy. */
  readonly comfortableEaseMm: number
  /** First-try chance by this direction’s ease, from 0 in steps of `easeStepMm`, the other as it is planned. */
  readonly chanceByEase: readonly number[]
}

/** What a make is judged by. */
export interface Judged {
  readonly fits: readonly Fit[]
  readonly clearances: readonly Clearance[]
}

/** Counts what came of many makes; the gauges are those of the fits, then those of the clearances. */
export function summarise(
  { fits, clearances }: Judged,
  gauges: readonly Gauge[],
  { valuesMm: made, decided }: Makes,
  {
    count,
    seed,
    exactness = false,
  }: { readonly count: number; readonly seed: number; readonly exactness?: boolean },
): Simulation {
  const goes = fits.map((fit, index) => markWithin(made[index] ?? none, [fitStretch(fit)]))
  const serves = clearances.map(({ works }, index) =>
    markWithin(
      made[fits.length + index] ?? none,
      works.map(({ from, to = endless }) => ({ fromMm: toMm(from), toMm: toMm(to) })),
    ),
  )
  const all = allOf(count, [])
  const directions = fits.map((fit, index): DirectionOdds => {
    const valuesMm = made[index] ?? none
    const { direction } = fit
    const others = allOf(count, [...goes.filter((_, other) => other !== index), ...serves])
    const limits = limitsOf(fit)
    const plannedMm = toMm(fit.ease)
    return {
      direction,
      fit,
      verdicts: countVerdicts(valuesMm, limits),
      sources: shareVariance(gauges[index] ?? noGauge, decided[index] ?? []),
      spreadMm: spreadOf(gauges[index] ?? noGauge, decided[index] ?? []),
      histogram: countHistogram(valuesMm),
      bestEaseMm: findBestEase(chanceByEase({ valuesMm, plannedMm, kept: all }, { ...limits, giveMm: 0 })),
      comfortableEaseMm: findMiddleEase(
        chanceByEase({ valuesMm, plannedMm, kept: all }, { giveMm: -limits.snugMm, topMm: limits.roomyMm }),
      ),
      chanceByEase: chanceByEase({ valuesMm, plannedMm, kept: others }, limits),
    }
  })
  return {
    makes: count,
    seed,
    chance: shareOf(allOf(count, [...goes, ...serves])),
    directions,
    ...(exactness && { exactness: findExactness(toleratedOf({ fits, clearances }, made)) }),
    serves: servedShares(clearances, serves, count),
    bestChance: shareOf(
      allOf(count, [
        ...directions.map(({ fit, bestEaseMm }, index) =>
          markWithin(made[index] ?? none, [atEase(fit, bestEaseMm)]),
        ),
        ...serves,
      ]),
    ),
  }
}

function toleratedOf({ fits, clearances }: Judged, made: readonly Float64Array[]): readonly Tolerated[] {
  return [
    ...fits.map((fit, index): Tolerated => ({
      direction: fit.direction,
      valuesMm: made[index] ?? none,
      making: fit.making,
      isRoom: false,
      parts: fit.parts,
      stretches: [fitStretch(fit)],
    })),
    ...clearances.map(({ direction, making, parts = 1, works }, index): Tolerated => ({
      direction,
      valuesMm: made[fits.length + index] ?? none,
      making,
      isRoom: true,
      parts,
      stretches: works.map(({ from, to = endless }) => ({ fromMm: toMm(from), toMm: toMm(to) })),
    })),
  ]
}

const none = new Float64Array(0)

const noGauge: Gauge = { main: { plannedMm: 0, terms: [] }, larger: [] }

function limitsOf({ bands, give }: Fit) {
  return {
    giveMm: toMm(give),
    snugMm: toMm(bands.snug),
    easyMm: toMm(bands.easy),
    roomyMm: toMm(bands.roomy),
    topMm: toMm(bands.top),
  }
}

function fitStretch({ give, bands }: Fit) {
  return { fromMm: -toMm(give), toMm: toMm(bands.top) }
}

/** Where an ease may lie, seen from the plan’s own, if it were cut to another target; stretch is not counted on. */
function atEase({ ease, bands }: Fit, targetMm: number) {
  const moved = targetMm - toMm(ease)
  return { fromMm: -moved, toMm: toMm(bands.top) - moved }
}

/** Marks the makes that every list marks. */
function allOf(count: number, lists: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(count).fill(1)
  for (const marks of lists)
    for (let index = 0; index < count; index += 1) all[index] = (all[index] ?? 0) & (marks[index] ?? 0)
  return all
}

function servedShares(
  clearances: readonly Clearance[],
  serves: readonly Uint8Array[],
  count: number,
): Simulation['serves'] {
  const things = [...new Set(clearances.map(({ thing }) => thing))]
  return things.map(thing => ({
    book: thing + 1,
    chance: shareOf(
      allOf(
        count,
        serves.filter((_, index) => clearances[index]?.thing === thing),
      ),
    ),
  }))
}

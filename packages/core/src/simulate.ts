import type { Cover } from './file/cover.js'
import { findingWhen, type Finding, type FindingCode } from './finding/finding.js'
import { severityIn } from './finding/severities.js'
import { handOf } from './fit/cover-hand.js'
import type { Hand } from './fit/simulation/hand.js'
import { makeMany } from './fit/simulation/makes.js'
import { deriveGauge, type Gauged, type Uncertainty } from './fit/simulation/model.js'
import { summarise, type Judged, type Simulation } from './fit/simulation/summarise.js'
import { mm, toMm } from './length/length.js'
import { readingKeys, smallestReading } from './object/reading.js'
import { deriveUncertainty } from './object/uncertainty.js'
import { plan, type Plan } from './plan/plan.js'

export const usualMakes = 50_000
export const usualSeed = 1

/** How many times the cover is made, from which seed, how exactly, and on something else than the plan’s own fits. */
export interface SimulationOptions {
  /** 1 to `mostMakes`. */
  readonly makes?: number
  /** A whole number from 0. */
  readonly seed?: number
  readonly hand?: Hand
  readonly uncertainty?: Uncertainty
  /** Whether it is to be found out how exact each handwork must be, too. */
  readonly exactness?: boolean
}

/** Beyond this the answer does not change any more: its standard error is below 0.05 %. */
export const mostMakes = 1_000_000

/** Simulates a cover as it is planned. `no-fit` where nothing in it can fit or fail to. */
export function simulate(cover: Cover, options: SimulationOptions = {}): Simulation | undefined {
  const running = simulating(cover, plan(cover), options)
  for (;;) {
    const step = running.next()
    if (step.done) return step.value
  }
}

/** The same in steps, each yielding the share done, so that a worker can tell how far it is and stop. */
export function* simulating(
  { objects, hand: makersHand }: Cover,
  planned: Plan,
  {
    makes: count = usualMakes,
    seed = usualSeed,
    hand = handOf({ ...(makersHand && { hand: makersHand }) }),
    uncertainty = deriveUncertainty,
    exactness = false,
  }: SimulationOptions = {},
): Generator<number, Simulation | undefined> {
  const judged = judgedIn(planned)
  const { fits, clearances } = judged
  if (fits.length + clearances.length === 0) return undefined
  const gaugeOf = (gauged: Gauged) => deriveGauge(gauged, { objects, hand, uncertainty })
  const gauges = [
    ...fits.map(fit => gaugeOf({ ...fit, plannedMm: toMm(fit.ease) })),
    ...clearances.map(clearance => gaugeOf({ parts: 1, ...clearance, plannedMm: toMm(clearance.room) })),
  ]
  const made = yield* makeMany(gauges, { count, seed })
  return summarise(judged, gauges, made, { count, seed, exactness })
}

/** What a make is judged by: the cover’s own fits, how its contents fit into it, and the rooms it must keep. */
export function judgedIn({ fits, contents, clearances = [] }: Plan): Judged {
  return { fits: contents ? [...fits, contents] : fits, clearances }
}

/** What a chance answers better than a plain no. */
const answeredByChance: ReadonlySet<FindingCode> = new Set(['will-not-go', 'spine-too-thin'])

/** Whether something else than the fit keeps the cover from being made. */
export function isUnmakeableBeyondFit(findings: readonly Finding[]): boolean {
  return findings.some(finding => severityIn(finding) === 'error' && !answeredByChance.has(finding.code))
}

/** What a simulation has to say beside the plan: that there is nothing to fit, or that a reading says next to nothing. */
export function checkSimulation({ objects, family }: Cover, planned: Plan): readonly Finding[] {
  const { fits, clearances } = judgedIn(planned)
  const nothing = fits.length + clearances.length === 0
  const unmeasured = nothing && family.traits.includes('boards')
  return [
    ...findingWhen(nothing, 'no-fit', 'family', { unmeasured }),
    ...objects.flatMap(object =>
      readingKeys.flatMap(key => {
        const uncertainty = deriveUncertainty(object, key)
        const length = smallestReading(object, key)
        if (uncertainty === undefined || length === undefined) return []
        const unknown = uncertainty > length && uncertainty > mm(5)
        return findingWhen(unknown, 'reading-says-nothing', `reading:${key}`, {
          reading: key,
          length,
          uncertainty,
        })
      }),
    ),
  ]
}

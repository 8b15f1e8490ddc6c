import { stepKinds, type StepKind } from '../step.js'
import { believe, type Estimate, type Prior } from './believe.js'
import { calibrate, type Calibration } from './calibration.js'
import { findContradiction, type Contradiction } from './contradictions.js'
import {
  cutDeviation,
  directions,
  easeGotMm,
  seamDeviation,
  type MakeDirection,
  type MakeRecord,
  type Observation,
} from './make-record.js'

/** A bias of the hand, the makes behind it, and whether it is sure enough to plan with. */
export interface LearntBias extends Estimate {
  readonly makes: number
  readonly used: boolean
}

export interface LearntFromMakes extends Estimate {
  readonly makes: number
}

/** What makes tell of a maker’s hand. Millimetres; times are factors on the minutes planned. */
export interface Learnt {
  /** By seam line, wide is positive; by edge, large is positive. */
  readonly seamBias: LearntBias
  readonly cutBias: LearntBias
  readonly seamScatter: Estimate
  readonly cutScatter: Estimate
  /** Ease liked: of makes that went on snugly. */
  readonly ease: Readonly<Record<MakeDirection, LearntFromMakes>>
  readonly times: Readonly<Partial<Record<StepKind, LearntFromMakes & { readonly used: boolean }>>>
  readonly calibration: Calibration
  readonly refused: readonly { readonly id: string; readonly why: Contradiction }[]
}

/** Of a seam line or a cut edge, in millimetres. Source: docs/craft.md, What makes tell. */
const handPrior: Prior = { mean: 0, spread: 0.5, scatter: 0.8, degrees: 4 }
/** Of the logarithm of minutes taken by minutes planned. */
const timePrior: Prior = { mean: 0, spread: 0.35, scatter: 0.25, degrees: 4 }
/** Of the ease that is liked: about the usual target, and meant to about a millimetre. */
const easePrior: Prior = { mean: 3, spread: 1.5, scatter: 1, degrees: 4 }

/** Fewer observations leave plans alone. */
const leastObservations = 3

/**
 * What makes tell of the hand that made them, shrunk towards what is usual while they are few. `level` is how sure the
 * intervals are, between 0 and 1. Makes whose numbers contradict are left out of everything and listed. The order of
 * the makes does not matter. About 10 ms.
 */
export function learn(makes: readonly MakeRecord[], level = 0.9): Learnt {
  const judged = makes.map(make => ({ make, why: findContradiction(make) }))
  const good = judged.flatMap(({ make, why }) => (why ? [] : [make]))
  const seam = learnBias(good, seamDeviation, level)
  const cut = learnBias(good, cutDeviation, level)
  return {
    seamBias: seam.bias,
    cutBias: cut.bias,
    seamScatter: seam.scatter,
    cutScatter: cut.scatter,
    ease: { width: learnEase(good, 'width', level), height: learnEase(good, 'height', level) },
    times: learnTimes(good, level),
    calibration: calibrate(good, level),
    refused: judged.flatMap(({ make, why }) => (why ? [{ id: make.id, why }] : [])),
  }
}

type Deviation = (make: MakeRecord, direction: MakeDirection) => Observation | undefined

function learnBias(makes: readonly MakeRecord[], deviation: Deviation, level: number) {
  const seen = makes
    .map(make => directions.flatMap(direction => deviation(make, direction) ?? []))
    .filter(observations => observations.length > 0)
  const observations = seen.flat()
  const { mean, scatter } = believe(observations, handPrior, level)
  const used = isUsed(observations, mean)
  return { bias: { ...mean, makes: seen.length, used }, scatter }
}

/** A correction waits for three observations and for an interval that leaves nought out. */
function isUsed(observations: readonly Observation[], { low, high }: Estimate): boolean {
  return observations.length >= leastObservations && (low > 0 || high < 0)
}

function learnEase(makes: readonly MakeRecord[], direction: MakeDirection, level: number): LearntFromMakes {
  const observations = makes.flatMap(make => {
    const value = make.wentOn[direction] === 'snug' ? easeGotMm(make, direction) : undefined
    return value === undefined ? [] : [{ value, parts: 1 }]
  })
  return { ...believe(observations, easePrior, level).mean, makes: observations.length }
}

function learnTimes(makes: readonly MakeRecord[], level: number): Learnt['times'] {
  const entries = stepKinds.flatMap(kind => {
    const observations = makes.flatMap(({ minutes }) => {
      const { planned = 0, took = 0 } = minutes[kind] ?? {}
      return planned > 0 && took > 0 ? [{ value: Math.log(took / planned), parts: 1 }] : []
    })
    if (observations.length === 0) return []
    const { mean } = believe(observations, timePrior, level)
    const learnt = {
      value: Math.exp(mean.value),
      low: Math.exp(mean.low),
      high: Math.exp(mean.high),
      makes: observations.length,
      used: isUsed(observations, mean),
    }
    return [[kind, learnt] as const]
  })
  return Object.fromEntries(entries)
}

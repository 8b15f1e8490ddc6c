import type { Estimate } from '../make/learning/believe.js'
import type { Contradiction } from '../make/learning/contradictions.js'
import type { Learnt, LearntBias, LearntFromMakes } from '../make/learning/learn.js'

/** What makes tell as JSON carries it: to four decimals. */
export function learntToJson(learnt: Learnt) {
  const { seamBias, cutBias, seamScatter, cutScatter, ease, times, calibration, refused } = learnt
  return {
    seamBias: biasToJson(seamBias),
    cutBias: biasToJson(cutBias),
    seamScatter: estimateToJson(seamScatter),
    cutScatter: estimateToJson(cutScatter),
    ease: { width: countedToJson(ease.width), height: countedToJson(ease.height) },
    times: Object.fromEntries(
      Object.entries(times).map(([kind, { value, low, high, makes, used }]) => [
        kind,
        { factor: round(value), low: round(low), high: round(high), makes, used },
      ]),
    ),
    calibration: {
      makes: calibration.makes,
      ...(calibration.brier !== undefined && { brier: round(calibration.brier) }),
      groups: calibration.groups.map(({ foretold, came, low, high, makes }) => ({
        foretold: round(foretold),
        came: round(came),
        low: round(low),
        high: round(high),
        makes,
      })),
    },
    refused: refused.map(({ id, why }) => ({ id, why: sayContradiction(why) })),
  }
}

/** Why a make is left out, in words; millimetres, as the file has them. */
export function sayContradiction(
  why: Contradiction,
  say: (mm: number) => string = mm => `${round(mm)} mm`,
): string {
  switch (why.kind) {
    case 'sewn-larger':
      return `Its ${why.direction} is ${say(why.byMm)} larger sewn than it was cut. Measure again, or correct what was typed.`
    case 'seam-too-far':
      return `In ${why.direction} each seam would be ${say(why.eachMm)} off. Inches for millimetres, or width for height?`
    case 'cut-too-far':
      return `In ${why.direction} each edge would be cut ${say(why.eachMm)} off. Inches for millimetres, or width for height?`
  }
}

function estimateToJson({ value, low, high }: Estimate) {
  return { mm: round(value), low: round(low), high: round(high) }
}

function countedToJson({ makes, ...estimate }: LearntFromMakes) {
  return { ...estimateToJson(estimate), makes }
}

function biasToJson({ used, ...counted }: LearntBias) {
  return { ...countedToJson(counted), used }
}

function round(value: number): number {
  return Math.round(value * 10_000) / 10_000 || 0
}

import type { Observation } from './make-record.js'

/** What is thought before anything was seen: of the mean, and of the scatter (scaled inverse χ² with `degrees`). */
export interface Prior {
  readonly mean: number
  readonly spread: number
  readonly scatter: number
  readonly degrees: number
}

/** A number with the interval that holds it at the level asked for. */
export interface Estimate {
  readonly value: number
  readonly low: number
  readonly high: number
}

/** What is thought once something was seen. */
export interface Belief {
  readonly mean: Estimate
  readonly scatter: Estimate
}

/** The mean were the scatter known, with how likely that scatter is. */
interface GivenScatter {
  readonly scatter: number
  readonly weight: number
  readonly mean: number
  readonly spread: number
}

/** Scatters that are tried, evenly by their logarithm, around the one thought before. */
const gridSteps = 100
const gridReach = 12

/**
 * The mean and the scatter of normal observations, each the mean of `parts` errors and so scattering by σ/√parts: a sum
 * over a grid of σ, as the mean is normal for each. Of no observations, what was thought before. Intervals cut off
 * (1 − level)/2 at either end. Source: docs/craft.md, What makes tell.
 */
export function believe(observations: readonly Observation[], prior: Prior, level: number): Belief {
  const grid = weighGrid(observations, prior)
  const cutOff = (1 - level) / 2
  const quantileOfMean = (share: number) => findMean(grid, share)
  const quantileOfScatter = (share: number) => findScatter(grid, share)
  return {
    mean: {
      value: sumOver(grid, ({ mean }) => mean),
      low: quantileOfMean(cutOff),
      high: quantileOfMean(1 - cutOff),
    },
    scatter: {
      value: sumOver(grid, ({ scatter }) => scatter),
      low: quantileOfScatter(cutOff),
      high: quantileOfScatter(1 - cutOff),
    },
  }
}

function sumOver(grid: readonly GivenScatter[], of: (point: GivenScatter) => number): number {
  return grid.reduce((sum, point) => sum + point.weight * of(point), 0)
}

function weighGrid(observations: readonly Observation[], prior: Prior): readonly GivenScatter[] {
  const parts = observations.reduce((sum, { parts: many }) => sum + many, 0)
  const centre =
    parts === 0 ? prior.mean : observations.reduce((sum, one) => sum + one.value * one.parts, 0) / parts
  const squares = observations.reduce((sum, one) => sum + one.parts * (one.value - centre) ** 2, 0)
  const points = Array.from({ length: gridSteps + 1 }, (_, step) => {
    const scatter = prior.scatter * gridReach ** ((2 * step) / gridSteps - 1)
    return givenScatter(scatter, { parts, centre, squares, count: observations.length }, prior)
  })
  const highest = Math.max(...points.map(({ logWeight }) => logWeight))
  const weights = points.map(({ logWeight }) => Math.exp(logWeight - highest))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  return points.map(({ logWeight: _, ...point }, index) => ({
    ...point,
    weight: (weights[index] ?? 0) / total,
  }))
}

interface Seen {
  readonly parts: number
  readonly centre: number
  readonly squares: number
  readonly count: number
}

/** The mean is normal about the weighted middle of prior and observations; the weight integrates it out. */
function givenScatter(scatter: number, { parts, centre, squares, count }: Seen, prior: Prior) {
  const precisionBefore = 1 / prior.spread ** 2
  const precisionSeen = parts / scatter ** 2
  const precision = precisionBefore + precisionSeen
  const mean = (precisionBefore * prior.mean + precisionSeen * centre) / precision
  // spread of the middle of the observations about the prior’s mean, once the mean is integrated out
  const apart = ((precisionBefore * precisionSeen) / precision) * (centre - prior.mean) ** 2
  const logLikelihood =
    -count * Math.log(scatter) - squares / (2 * scatter ** 2) - apart / 2 - Math.log(precision) / 2
  // scaled inverse χ² of σ², by the logarithm of σ
  const logPrior =
    -prior.degrees * Math.log(scatter) - (prior.degrees * prior.scatter ** 2) / (2 * scatter ** 2)
  return { scatter, mean, spread: 1 / Math.sqrt(precision), logWeight: logLikelihood + logPrior }
}

/** Where the mixture of normals has a share below it: found by halving. */
function findMean(grid: readonly GivenScatter[], share: number): number {
  let [low, high] = [Infinity, -Infinity]
  for (const { mean, spread } of grid) {
    low = Math.min(low, mean - 8 * spread)
    high = Math.max(high, mean + 8 * spread)
  }
  for (let halving = 0; halving < 50; halving += 1) {
    const middle = (low + high) / 2
    const below = sumOver(grid, ({ mean, spread }) => normalBelow((middle - mean) / spread))
    if (below < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** Between two points of the grid, by proportion of their logarithms. */
function findScatter(grid: readonly GivenScatter[], share: number): number {
  let below = 0
  for (const [index, { scatter, weight }] of grid.entries()) {
    if (below + weight >= share) {
      const next = grid[index + 1]?.scatter ?? scatter
      const before = grid[index - 1]?.scatter ?? scatter
      const [from, to] = [Math.sqrt(before * scatter), Math.sqrt(scatter * next)]
      return from * (to / from) ** ((share - below) / weight)
    }
    below += weight
  }
  return grid.at(-1)?.scatter ?? 0
}

/**
 * The share of a standard normal below a value, to about 1e-7. Source: Abramowitz and Stegun, Handbook of Mathematical
 * Functions, 26.2.17.
 */
export function normalBelow(value: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(value))
  const series =
    t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  const above = (Math.exp(-(value * value) / 2) / Math.sqrt(2 * Math.PI)) * series
  return value >= 0 ? 1 - above : above
}

/** The value with a share of a standard normal below it, by halving. */
export function normalQuantile(share: number): number {
  let [low, high] = [-10, 10]
  for (let halving = 0; halving < 60; halving += 1) {
    const middle = (low + high) / 2
    if (normalBelow(middle) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}

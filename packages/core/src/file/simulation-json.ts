import type { Finding } from '../finding/finding.js'
import type { DirectionOdds, Simulation } from '../fit/simulation/summarise.js'
import type { Unit } from '../length/unit.js'
import { findingToJson } from './plan-json.js'

/** A simulation as JSON carries it; without one, what stands in its way. Shares to six decimals. */
export function simulationToJson(
  simulation: Simulation | undefined,
  findings: readonly Finding[],
  unit: Unit,
) {
  const said = { findings: findings.map(finding => findingToJson(finding, unit)) }
  if (!simulation) return said
  const { makes, seed, chance, directions, serves, bestChance } = simulation
  return {
    makes,
    seed,
    chance: share(chance),
    verdicts: byDirection(directions, ({ verdicts }) => shares(verdicts)),
    sources: byDirection(directions, odds =>
      odds.sources.map(({ name, share: part }) => ({ name, share: share(part) })),
    ),
    histogram: byDirection(directions, ({ histogram: { fromMm, stepMm, counts } }) => ({
      from: { mm: fromMm },
      step: { mm: stepMm },
      counts,
    })),
    bestEase: {
      ...byDirection(directions, ({ bestEaseMm }) => ({ mm: bestEaseMm })),
      chance: share(bestChance),
    },
    ...(serves.length > 0 && {
      serves: serves.map(({ book, chance: own }) => ({ book, chance: share(own) })),
    }),
    ...said,
  }
}

function byDirection<Value>(directions: readonly DirectionOdds[], value: (odds: DirectionOdds) => Value) {
  return Object.fromEntries(directions.map(odds => [odds.direction, value(odds)]))
}

function shares(verdicts: DirectionOdds['verdicts']) {
  return Object.fromEntries(Object.entries(verdicts).map(([verdict, part]) => [verdict, share(part)]))
}

function share(value: number): number {
  return Math.round(value * 1e6) / 1e6
}

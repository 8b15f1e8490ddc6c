import { sources, type Factor, type Gauge, type Source } from './model.js'

export interface SourceShare {
  readonly name: Source
  readonly share: number
}

/**
 * What each source makes of the variance, the greatest first; the shares add up to 1. Where one of several sums
 * decides, each counts by the share of makes that it decided (`decided`, by choice and way). Empty without variance.
 */
export function shareVariance(gauge: Gauge, decided: readonly (readonly number[])[]): readonly SourceShare[] {
  const variances = varianceByFactor(gauge, decided)
  const total = variances.reduce((sum, { variance }) => sum + variance, 0)
  if (total === 0) return []
  return sources
    .map(name => ({
      name,
      share:
        variances.reduce((sum, { factor, variance }) => sum + (factor.source === name ? variance : 0), 0) /
        total,
    }))
    .filter(({ share }) => share > 0)
    .toSorted((one, other) => other.share - one.share)
}

/** Standard deviation of the gauge, reckoned from its parts; millimetres. */
export function spreadOf(gauge: Gauge, decided: readonly (readonly number[])[]): number {
  return Math.sqrt(varianceByFactor(gauge, decided).reduce((sum, { variance }) => sum + variance, 0))
}

function varianceByFactor({ main, larger }: Gauge, decided: readonly (readonly number[])[]) {
  const weights = new Map<string, { readonly factor: Factor; weight: number }>()
  const count = (factor: Factor, weight: number) => {
    const known = weights.get(factor.id)
    if (known) known.weight += weight
    else weights.set(factor.id, { factor, weight })
  }
  for (const { factor, weight } of main.terms) count(factor, weight)
  larger.forEach((ways, choice) => {
    ways.forEach((way, index) => {
      const share = decided[choice]?.[index] ?? 0
      for (const { factor, weight } of way.terms) count(factor, -weight * share)
    })
  })
  return [...weights.values()].map(({ factor, weight }) => ({
    factor,
    variance: weight ** 2 * unitVariance(factor),
  }))
}

/** A uniform error of half-width h varies by h²/3. */
function unitVariance({ shape, spread }: Factor): number {
  return shape === 'normal' ? spread ** 2 : spread ** 2 / 3
}

import { easeStepMm, toMm, type Fit, type Simulation } from '@snowdrift/core'

/**
 * The chance of a plan that differs from the one simulated by the ease in one direction only, read off the chances by
 * ease: what a slider shows before the makes are run again. Undefined where more has changed, or it lies off the scale.
 */
export function estimateChance({ chance, directions }: Simulation, fits: readonly Fit[]): number | undefined {
  const moved = directions.filter(({ fit, direction }) => {
    const now = fits.find(candidate => candidate.direction === direction)
    return !now || now.ease !== fit.ease
  })
  const [odds] = moved
  if (!odds) return chance
  const now = fits.find(({ direction }) => direction === odds.direction)
  if (moved.length > 1 || !now) return undefined
  const place = toMm(now.ease) / easeStepMm
  const [below, above] = [odds.chanceByEase[Math.floor(place)], odds.chanceByEase[Math.ceil(place)]]
  if (below === undefined || above === undefined) return undefined
  return below + (above - below) * (place - Math.floor(place))
}

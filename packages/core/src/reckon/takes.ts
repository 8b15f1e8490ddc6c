import type { Cover } from '../file/cover.js'
import { refit, type Fit } from '../fit/fit.js'
import { missingReadings } from '../object/required.js'
import type { CoveredObject } from '../object/reading.js'
import { plan, type Plan } from '../plan/plan.js'

/** How a cover that is made already would sit on another thing. */
export type Takes =
  | { readonly answer: 'unknown'; readonly why: 'not measured' | 'no fit of its own' }
  | { readonly answer: 'yes' | 'no'; readonly fits: readonly Fit[] }

/**
 * Asks a finished cover whether it takes another thing: what that thing needs against what the cover finishes at.
 * Needs the readings of its family; without a fit of its own a cover cannot say.
 */
export function coverTakes(cover: Cover, made: Plan, object: CoveredObject): Takes {
  const { family } = cover
  if (missingReadings(object, family.requiredReadings).length > 0)
    return { answer: 'unknown', why: 'not measured' }
  const { trial: _trial, ...untried } = cover
  const other = plan({ ...untried, object, objects: [object] })
  if (made.fits.length === 0) return { answer: 'unknown', why: 'no fit of its own' }
  const fits = made.fits.flatMap((fit): readonly Fit[] => {
    const need = other.fits.find(({ direction }) => direction === fit.direction)
    return need ? [{ ...refit(need, { finished: fit.finished }), making: fit.making }] : []
  })
  const goes = fits.every(({ verdict }) => verdict !== 'will-not-go' && verdict !== 'baggy')
  return { answer: goes ? 'yes' : 'no', fits }
}

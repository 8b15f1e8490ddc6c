import type { Plan, Unit } from '@snowdrift/core'
import { Length } from '../../parts/Length'
import { headlineOf, verdictWords } from '../../views/verdict-words'
import { capital } from '../../views/capital'

/** Whether it fits, in one line: the verdict, and the ease both ways; where a fit has no meaning, what is cut. */
export function FitLine({ plan, unit }: { readonly plan: Plan; readonly unit: Unit }) {
  const { words, tone } = headlineOf(plan)
  const outer = plan.pieces.find(({ id }) => id === 'outer')
  return (
    <p role="status" aria-label="Fit" className="flex flex-wrap items-baseline gap-x-4">
      <span className={`text-xl font-semibold sm:text-2xl ${tone}`}>{capital(words)}</span>
      {plan.fits.map(({ direction, ease, verdict }) => (
        <span key={direction} className="text-soft max-sm:text-sm">
          {direction}: <Length value={ease} unit={unit} /> of ease as cut
          <span className="max-sm:sr-only">, {verdictWords[verdict]}</span>
        </span>
      ))}
      {plan.fits.length === 0 && outer && (
        <span className="text-soft max-sm:text-sm">
          outer <Length value={outer.width.cut} unit={unit} bare /> ×{' '}
          <Length value={outer.height.cut} unit={unit} />
        </span>
      )}
    </p>
  )
}

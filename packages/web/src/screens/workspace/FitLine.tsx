import type { Fit, Unit } from '@snowdrift/core'
import { Length } from '../../parts/Length'
import { verdictTone, verdictWords, worstVerdict } from '../../views/verdict-words'

/** Whether it fits, in one line: the verdict, and the ease both ways. */
export function FitLine({ fits, unit }: { readonly fits: readonly Fit[]; readonly unit: Unit }) {
  const verdict = worstVerdict(fits)
  if (!verdict) return null
  return (
    <p role="status" aria-label="Fit" className="flex flex-wrap items-baseline gap-x-4">
      <span className={`text-xl font-semibold sm:text-2xl ${verdictTone[verdict]}`}>
        {capital(verdictWords[verdict])}
      </span>
      {fits.map(({ direction, ease, verdict: own }) => (
        <span key={direction} className="text-soft max-sm:text-sm">
          {direction}: <Length value={ease} unit={unit} /> of ease
          <span className="max-sm:sr-only">, {verdictWords[own]}</span>
        </span>
      ))}
    </p>
  )
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1)
}

import { isWorthwhile, sayProperly, type ReadingKey, type Remedy, type Unit } from '@snowdrift/core'
import { Ruler } from 'lucide-react'
import { Fractions } from '../../../parts/Fractions'
import { percent, sayRemedy } from '../../../views/chance-words'

/** The one thing with the tape that would better the chance most; undefined where none is worth naming. */
export function bestMeasuring(remedies: readonly Remedy[] | undefined): Remedy | undefined {
  return remedies?.find(remedy => remedy.source === 'measuring' && isWorthwhile(remedy))
}

/** Which reading a remedy asks for; a finer tape asks for all of them alike. */
export function readingOf({ kind }: Remedy): ReadingKey | undefined {
  if (kind.what === 'wrap-it') return 'wrap'
  return 'reading' in kind ? kind.reading : undefined
}

/** Where another look at the tape pays most, and what it is worth. */
export function PaysMost({ remedy, unit }: { readonly remedy: Remedy; readonly unit: Unit }) {
  const { kind, before, after } = remedy
  return (
    <p className="flex gap-2 border-l-3 border-thread py-1 pl-3" data-pays-most>
      <Ruler className="mt-1 size-4 shrink-0 text-thread" aria-hidden />
      <span>
        <Fractions text={sayRemedy(kind, sayProperly(unit))} />{' '}
        <span className="text-soft">
          The chance of fitting goes from {percent(before)} to {percent(after)}.
        </span>
      </span>
    </p>
  )
}

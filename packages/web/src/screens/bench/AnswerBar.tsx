import type { Step } from '@snowdrift/core'
import { ArrowLeft, ArrowRight, Check } from 'lucide-react'
import { Button } from '../../parts/Button'
import { Fractions } from '../../parts/Fractions'
import { PracticeLink } from './PracticeLink'
import type { Practised } from './practised'
import { costWords } from './step-words'

interface AnswerBarProps {
  readonly step: Step
  /** What a no may be practised with. */
  readonly practised: Practised | undefined
  readonly isDone: boolean
  readonly isMending: boolean
  readonly isFirst: boolean
  readonly isLast: boolean
  readonly onGo: (answer?: 'yes') => void
  readonly onNo: () => void
  readonly onMended: () => void
  readonly onAgain: () => void
  readonly onBack: () => void
}

const large = '!min-h-16 !text-xl'

/** The check, its answers, and the way on: large enough for a busy hand. */
export function AnswerBar(props: AnswerBarProps) {
  const { step, practised, isDone, isMending, isFirst, isLast, onGo, onNo, onMended, onAgain, onBack } = props
  const { check } = step
  const asks = check !== undefined && !isDone
  return (
    <div className="no-print grid shrink-0 gap-3 border-t border-rule bg-surface px-4 py-3 sm:px-6">
      {asks && !isMending && (
        <p className="text-xl leading-snug font-medium sm:text-2xl" data-check>
          <Fractions text={check.ask} />
        </p>
      )}
      {asks && isMending && (
        <div role="status" className="grid gap-1" data-mend>
          <p className="text-xl leading-snug sm:text-2xl">
            <Fractions text={check.ifNot} />
          </p>
          <p className="text-soft">{costWords[check.cost]}</p>
          {practised && <PracticeLink of={practised} />}
        </div>
      )}
      <div className="flex gap-3">
        <Button className={large} onClick={isMending ? onAgain : onBack} disabled={isFirst && !isMending}>
          <ArrowLeft className="size-5" aria-hidden /> {isMending ? 'Ask again' : 'Back'}
        </Button>
        {asks && !isMending && (
          <Button className={`${large} flex-1`} onClick={onNo}>
            No
          </Button>
        )}
        {asks && isMending ? (
          <Button look="act" className={`${large} flex-[2]`} onClick={onMended}>
            <Check className="size-5" aria-hidden /> Mended: go on
          </Button>
        ) : (
          <Button look="act" className={`${large} flex-[2]`} onClick={() => onGo(asks ? 'yes' : undefined)}>
            {goWords(asks, isDone, isLast)}
            <ArrowRight className="size-5" aria-hidden />
          </Button>
        )}
      </div>
    </div>
  )
}

function goWords(asks: boolean, isDone: boolean, isLast: boolean): string {
  if (isDone) return isLast ? 'All done' : 'Go on'
  return asks ? 'Yes: go on' : 'Done'
}

import type { CutStep } from '@snowdrift/core'
import { ChevronLeft, ChevronRight } from 'lucide-react'
import { Button } from '../../../parts/Button'
import { useCover } from '../cover-context'
import { Cut, firstCut } from './Cut'
import type { GroupJob } from './group-job'

interface CutStepsProps {
  readonly order: readonly CutStep[]
  readonly step: number
  readonly onStep: (step: number) => void
  readonly job: GroupJob
}

/** The cuts one after the other, big pieces first; the one in hand is lit on the cloth. */
export function CutSteps({ order, step, onStep, job }: CutStepsProps) {
  const { unit } = useCover()
  const at = Math.min(step, order.length - 1)
  const cut = order[at]
  if (!cut) return null
  return (
    <section
      aria-label="Order of cuts"
      className="grid gap-2 rounded-md border border-rule p-3"
      data-cut={at + 1}
    >
      <div className="flex items-center gap-2">
        <Button aria-label="Cut before" disabled={at === 0} onClick={() => onStep(at - 1)}>
          <ChevronLeft className="size-5" aria-hidden />
        </Button>
        <p className="flex-1 text-center font-medium">
          Cut {at + 1} of {order.length}
        </p>
        <Button
          look="act"
          aria-label="Next cut"
          disabled={at === order.length - 1}
          onClick={() => onStep(at + 1)}
        >
          <ChevronRight className="size-5" aria-hidden />
        </Button>
      </div>
      <p className="text-lg" aria-live="polite">
        {at === 0 && `${firstCut(job)} `}
        <Cut cut={cut} job={job} unit={unit} />
      </p>
      <p className="text-sm text-soft">Away from you, blade shut in between, along a metal edge.</p>
    </section>
  )
}

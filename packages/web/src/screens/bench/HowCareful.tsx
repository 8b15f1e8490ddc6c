import { isCareWasted, sayExactness, type Handwork, type Step, type StepKind } from '@snowdrift/core'
import { useChance } from '../workspace/fit/use-chance'
import type { OnTheBench } from './use-making'

const handworkOf: Partial<Record<StepKind, Handwork>> = {
  cut: 'cut',
  sew: 'seam',
  mark: 'fold',
  fit: 'fold',
  fold: 'fold',
}

/** How exact this cut, seam or fold must be, where it decides the fit. */
export function HowCareful({ bench, step }: { readonly bench: OnTheBench; readonly step: Step }) {
  const handwork = handworkOf[step.kind]
  if (!handwork || bench.plan.fits.length === 0 || !step.pieces.includes('outer')) return null
  return <Careful bench={bench} handwork={handwork} />
}

function Careful({ bench, handwork }: { readonly bench: OnTheBench; readonly handwork: Handwork }) {
  const { file, unit } = bench
  const { simulation } = useChance(file, { idleMs: 400 })
  const found = simulation?.exactness?.filter(entry => entry.handwork === handwork) ?? []
  if (found.length === 0) return null
  return (
    <p className="text-lg" data-careful>
      How exact:{' '}
      {found
        .map(({ direction, smallerMm, largerMm }) =>
          isCareWasted(smallerMm) && isCareWasted(largerMm)
            ? `in ${direction} a glance is enough`
            : `in ${direction} ${sayExactness(smallerMm, unit)} too small costs one make in a hundred`,
        )
        .join('; ')}
      .
    </p>
  )
}

import { findFamily, type CoverFile, type Plan, type Unit } from '@snowdrift/core'
import { Length } from '../../parts/Length'
import { verdictWords } from '../../views/verdict-words'

interface FactsProps {
  readonly file: CoverFile
  readonly plan: Plan
  readonly unit: Unit
}

/** What holds for every piece: the seam, the finished size. */
export function Facts({ file, plan, unit }: FactsProps) {
  const { traits = [] } = findFamily(file.family) ?? {}
  return (
    <p className="mt-1 text-soft">
      {traits.includes('seamed') ? (
        <>
          Seam <Length value={plan.settled.seam} unit={unit} />, included.{' '}
        </>
      ) : traits.includes('glued') ? (
        'Glued: the turn-ins are included, and there is no seam. '
      ) : (
        'Stitched near its edges: there is no seam. '
      )}
      {plan.fits.map(({ direction, finished, verdict }) => (
        <span key={direction}>
          Finished {direction} <Length value={finished} unit={unit} />, {verdictWords[verdict]}.{' '}
        </span>
      ))}
      Width runs along the wrap; the arrow points to the top.
    </p>
  )
}

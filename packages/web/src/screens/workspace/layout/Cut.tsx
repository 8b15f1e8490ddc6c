import { comesInSheets, type CutStep, type Unit } from '@snowdrift/core'
import { Length } from '../../../parts/Length'
import type { GroupJob } from './group-job'

/** What comes before the first cut. */
export function firstCut({ group }: Pick<GroupJob, 'group'>): string {
  return comesInSheets(group.role)
    ? 'Straighten one edge.'
    : 'Straighten one edge and take the selvedges off.'
}

interface CutProps {
  readonly cut: CutStep
  readonly job: GroupJob
  readonly unit: Unit
}

/** One cut of the rotary cutter: what lies in hand, where the ruler goes, what comes free. */
export function Cut({ cut: { part, direction, at, frees }, job, unit }: CutProps) {
  const labelOf = (id: string) => job.group.pieces.find(piece => piece.id === id)?.label ?? id
  return (
    <>
      In hand <Length value={part.width} unit={unit} finest={16} bare /> ×{' '}
      <Length value={part.height} unit={unit} finest={16} />. Set the ruler to{' '}
      <strong>
        <Length value={at} unit={unit} finest={16} />
      </strong>{' '}
      from the {direction === 'across' ? 'near end and cut across' : 'left edge and cut along'} the cloth
      {frees.length > 0 ? `: that frees ${frees.map(({ piece }) => labelOf(piece)).join(' and ')}.` : '.'}
    </>
  )
}

import { comesInSheets, type Layout, type LayoutRequest } from '@snowdrift/core'
import { useState } from 'react'
import { Button } from '../../../parts/Button'
import type { GroupJob } from './group-job'
import type { Move } from './SheetPicture'
import { Showing } from './Showing'

interface ShowingChoiceProps {
  readonly job: GroupJob
  readonly request: LayoutRequest
  readonly layout: Layout
  readonly onMove: (move: Move) => void
  readonly onLetGo: (piece: string) => void
}

/** Of which piece one wants to see, and say, what shows on it. */
export function ShowingChoice({ job, request, layout, onMove, onLetGo }: ShowingChoiceProps) {
  const [piece, setPiece] = useState<string>()
  const placed = layout.placements.find(on => on.piece === piece)
  const isPinned = request.pieces.some(({ id, pin }) => id === piece && pin !== undefined)
  if (comesInSheets(job.group.role)) return null
  const labels = new Map(job.group.pieces.map(({ id, label }) => [id, label]))
  return (
    <div className="flex flex-wrap items-center gap-x-2 gap-y-1 text-sm" data-showing-choice>
      <span className="text-soft">What shows on</span>
      {layout.placements.map(on => (
        <Button key={on.piece} look="quiet" small onClick={() => setPiece(on.piece)}>
          {labels.get(on.piece) ?? on.piece}
        </Button>
      ))}
      {placed && (
        <Showing
          key={placed.piece}
          job={job}
          request={request}
          placed={placed}
          isPinned={isPinned}
          onKeep={onMove}
          onLetGo={() => onLetGo(placed.piece)}
          onClose={() => setPiece(undefined)}
        />
      )}
    </div>
  )
}

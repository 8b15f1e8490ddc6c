import { boughtCloth, type Layout, type LeftOver } from '@snowdrift/core'
import { Lock, LockOpen, Scissors } from 'lucide-react'
import {
  useCutPiecesMutation,
  useReleasePiecesMutation,
  useReservePiecesMutation,
} from '../../../api/stash-api'
import { describeError } from '../../../api/describe-error'
import { Button } from '../../../parts/Button'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'
import { typedLeftOver } from './typed-left-over'
import type { Cutting } from './use-cutting'

interface StashActionsProps {
  readonly job: GroupJob
  readonly layout: Layout
  readonly leftOvers: readonly LeftOver[]
  readonly cutting: Cutting
}

/** Keeps the pieces that a layout uses for this cover, or notes that they are cut and puts what is left back. */
export function StashActions({ job, layout, leftOvers, cutting }: StashActionsProps) {
  const { id: coverId } = useCover()
  const [reserve, reserving] = useReservePiecesMutation()
  const [release, releasing] = useReleasePiecesMutation()
  const [cut, cutState] = useCutPiecesMutation()
  const { source, group } = job
  const unit = source.material?.unit ?? 'in'
  const used = source.offered.filter(({ id }) => layout.used.some(({ cloth }) => cloth === id))
  const free = used.filter(({ state }) => state === 'free')
  const kept = used.filter(({ state, coverId: of }) => state === 'reserved' && of === coverId)
  const chosen = (pieces: typeof used) => pieces.map(({ id, version }) => ({ id, version }))
  const error = reserving.error ?? releasing.error ?? cutState.error
  const busy = reserving.isLoading || releasing.isLoading || cutState.isLoading
  const markCut = async () => {
    if (used.length > 0) {
      const pieces = used.map(({ id, version }) => ({
        id,
        version,
        // A layout lies on one sheet of a row, however many alike there are.
        count: 1,
        leftOvers: leftOvers
          .filter(({ cloth }) => cloth === id)
          .map(part => typedLeftOver(part, job.marks.get(id) ?? [], unit)),
      }))
      const done = await cut({ coverId, pieces })
      if (done.error) return
    }
    cutting.change(before => ({ ...before, done: [...before.done, group.key] }))
  }
  const buys = layout.used.some(({ cloth }) => cloth === boughtCloth)
  return (
    <div className="flex flex-wrap items-center gap-2">
      {free.length > 0 && (
        <Button disabled={busy} onClick={() => void reserve({ coverId, pieces: chosen(free) })}>
          <Lock className="size-4" aria-hidden /> Keep {free.length === 1 ? 'this piece' : 'these pieces'} for
          it
        </Button>
      )}
      {kept.length > 0 && (
        <Button disabled={busy} onClick={() => void release({ coverId, pieces: chosen(kept) })}>
          <LockOpen className="size-4" aria-hidden /> Free {kept.length === 1 ? 'it' : 'them'} again
        </Button>
      )}
      {(used.length > 0 || buys) && layout.unplaced.length === 0 && (
        <Button look="plain" disabled={busy} onClick={() => void markCut()}>
          <Scissors className="size-4" aria-hidden /> It is cut
        </Button>
      )}
      {error && (
        <p role="alert" className="basis-full text-bad">
          {describeError(error)}
        </p>
      )}
    </div>
  )
}

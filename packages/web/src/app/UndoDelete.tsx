import { Undo2 } from 'lucide-react'
import {
  useRestoreCoverMutation,
  useRestoreMaterialMutation,
  useRestoreThingMutation,
} from '../api/restore-api'
import { useRestoreStashPieceMutation } from '../api/restore-api'
import { useRestoreMakeMutation } from '../api/log-api'
import { describeError } from '../api/describe-error'
import { Button } from '../parts/Button'
import { Fractions } from '../parts/Fractions'
import { restored } from './deleted-slice'
import { useAppDispatch, useAppSelector } from './store'

const doneWords = {
  cover: 'deleted',
  thing: 'deleted',
  material: 'taken out of the stash',
  piece: 'taken out of the stash',
  make: 'taken out of the log',
} as const

/** After a deletion: what went, and the way to bring it back. */
export default function UndoDelete() {
  const last = useAppSelector(state => state.deleted.last)
  const dispatch = useAppDispatch()
  const [restoreCover, cover] = useRestoreCoverMutation()
  const [restoreThing, thing] = useRestoreThingMutation()
  const [restoreMaterial, material] = useRestoreMaterialMutation()
  const [restoreMake, make] = useRestoreMakeMutation()
  const [restorePiece, piece] = useRestoreStashPieceMutation()
  if (!last) return null
  const error = cover.error ?? thing.error ?? material.error ?? piece.error ?? make.error
  const restore = {
    cover: restoreCover,
    thing: restoreThing,
    material: restoreMaterial,
    piece: restorePiece,
    make: restoreMake,
  }
  const bringBack = async () => {
    await restore[last.kind](last.id).unwrap()
    dispatch(restored())
  }
  return (
    <div
      role="status"
      className="no-print fixed bottom-4 left-1/2 flex w-max max-w-[92vw] -translate-x-1/2 items-center gap-3 rounded-md border border-strong-rule bg-surface px-4 py-2 shadow-md"
    >
      <span>
        {error ? describeError(error) : <Fractions text={`“${last.name}” was ${doneWords[last.kind]}.`} />}
      </span>
      <Button onClick={() => void bringBack().catch(() => undefined)}>
        <Undo2 className="size-4" aria-hidden /> Undo
      </Button>
      <Button look="quiet" onClick={() => dispatch(restored())}>
        Dismiss
      </Button>
    </div>
  )
}

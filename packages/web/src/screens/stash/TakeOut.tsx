import type { MaterialRow } from '@snowdrift/core'
import { Trash2 } from 'lucide-react'
import { useDeleteMaterialMutation } from '../../api/stash-api'
import { describeError } from '../../api/describe-error'
import { deleted } from '../../app/deleted-slice'
import { useAppDispatch } from '../../app/store'
import { Button } from '../../parts/Button'

/** Takes a material off the list; it can be brought back from where every deletion can. */
export function TakeOut({ row }: { readonly row: MaterialRow }) {
  const [remove, { error, isLoading }] = useDeleteMaterialMutation()
  const dispatch = useAppDispatch()
  const takeOut = async () => {
    const answer = await remove({ id: row.id, version: row.version })
    if (!answer.error) dispatch(deleted({ kind: 'material', id: row.id, name: row.material.name }))
  }
  return (
    <>
      <Button look="quiet" disabled={isLoading} onClick={() => void takeOut()}>
        <Trash2 className="size-4" aria-hidden /> Take out of the stash
      </Button>
      {error && (
        <p role="alert" className="basis-full text-bad">
          {describeError(error)}
        </p>
      )}
    </>
  )
}

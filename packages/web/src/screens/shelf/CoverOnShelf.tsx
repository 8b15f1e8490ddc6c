import type { CoverFile, CoverRow } from '@snowdrift/core'
import { Link } from 'react-router'
import { useDeleteCoverMutation } from '../../api/api'
import { deleted } from '../../app/deleted-slice'
import { useAppDispatch } from '../../app/store'
import { forgotten } from '../../drafts/drafts-slice'
import { dropKeptDrafts } from '../../drafts/kept-drafts'
import { refOf } from '../../drafts/kinds'
import { severityWords } from '../../parts/FindingNote'
import { gravestOf } from '../../parts/severity'
import { plannedOf, type Planned } from '../../views/planned'
import { headlineOf } from '../../views/verdict-words'
import { ClosedCover } from './ClosedCover'
import { DeleteButton } from './DeleteButton'
import { ShelfPlace } from './ShelfPlace'

interface CoverOnShelfProps {
  readonly row: CoverRow
  readonly swatches: ReadonlyMap<string, string>
}

/** One cover, closed and to scale, with its name and what is to be said of it. */
export function CoverOnShelf({ row, swatches }: CoverOnShelfProps) {
  const { id, file } = row
  const planned = plannedOf(file)
  const name = file.name || 'Cover without a name'
  return (
    <ShelfPlace picture={<ClosedCover planned={planned} colour={swatches.get(outerName(file))} />}>
      <Link
        to={`/covers/${id}`}
        className="font-semibold text-ink underline-offset-2 after:absolute after:inset-0 hover:underline"
      >
        {name}
      </Link>
      <p className="text-sm">
        <Summary planned={planned} />
      </p>
      <DeleteCover row={row} name={name} />
    </ShelfPlace>
  )
}

function Summary({ planned }: { readonly planned: Planned }) {
  const { plan, missing, issues } = planned
  if (issues.length > 0) return <span className="text-bad">something in it cannot be read</span>
  if (!plan)
    return <span className="text-soft">{missing.length > 0 ? 'waits for the tape' : 'not planned'}</span>
  const { words, tone } = headlineOf(plan)
  const gravest = gravestOf(plan.findings)
  const count = plan.findings.length
  return (
    <>
      <span className={tone}>{words}</span>
      {gravest && (
        <span className="text-soft" title={severityWords[gravest]}>
          {' '}
          · {count} {count === 1 ? 'thing' : 'things'} to say
        </span>
      )}
    </>
  )
}

function DeleteCover({ row, name }: { readonly row: CoverRow; readonly name: string }) {
  const [deleteCover, { isLoading, error }] = useDeleteCoverMutation()
  const dispatch = useAppDispatch()
  const remove = async () => {
    const answer = await deleteCover({ id: row.id, version: row.version })
    if (answer.error) return
    const ref = refOf('cover', row.id)
    dispatch(forgotten(ref))
    await dropKeptDrafts(ref)
    dispatch(deleted({ kind: 'cover', id: row.id, name }))
  }
  return <DeleteButton name={name} busy={isLoading} error={error} onDelete={() => void remove()} />
}

function outerName(file: CoverFile): string {
  return file.layers.find(({ role }) => role === 'outer')?.name ?? ''
}

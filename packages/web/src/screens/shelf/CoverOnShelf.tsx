import type { CoverFile, CoverRow, ShelfEntry } from '@snowdrift/core'
import { MoreHorizontal } from 'lucide-react'
import { lazy, memo, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { useCoverAtQuery, useDeleteCoverMutation } from '../../api/api'
import { deleted } from '../../app/deleted-slice'
import { useAppDispatch } from '../../app/store'
import { forgotten } from '../../drafts/drafts-slice'
import { dropKeptDrafts } from '../../drafts/kept-drafts'
import { refOf } from '../../drafts/kinds'
import { severityWords } from '../../parts/FindingNote'
import { gravestOf } from '../../parts/severity'
import type { ClothLook } from '../../views/cloth/look'
import type { Planned } from '../../views/planned'
import { headlineOf } from '../../views/verdict-words'
import { ClosedCover } from './ClosedCover'
import { DeleteButton } from './DeleteButton'
import { stateWords } from './find-on-shelf'
import { ShelfPlace } from './ShelfPlace'
import { sayDue } from './say-due'
import type { Cloths } from './use-cloths'
import { usePlannedInTurn } from './use-planned-in-turn'

const CoverActions = lazy(() => import('./CoverActions'))
const PinnedCover = lazy(() => import('./PinnedCover'))

interface CoverOnShelfProps {
  readonly entry: ShelfEntry
  /** The cover itself, once it is there. */
  readonly row: CoverRow | undefined
  readonly cloths: Cloths
}

/** The same where each asks for its cover: a shelf that is fetched whole knows them already. */
export function CoverAlone({ entry, cloths }: Omit<CoverOnShelfProps, 'row'>) {
  const { id, version } = entry
  const { data: row } = useCoverAtQuery({ id, version })
  return <CoverOnShelf entry={entry} row={row} cloths={cloths} />
}

/** One cover, closed and to scale, with its name, how far it is, and what is to be said of it. */
export const CoverOnShelf = memo(function CoverOnShelf({ entry, row, cloths }: CoverOnShelfProps) {
  const { id, version, state, due } = entry
  const planned = usePlannedInTurn(row?.file)
  const [isOpen, setOpen] = useState(false)
  const name = entry.name || 'Cover without a name'
  const cloth = row && cloths.get(outerName(row.file))
  return (
    <ShelfPlace
      picture={planned ? <Closed entry={entry} planned={planned} cloth={cloth} /> : <NotDrawnYet />}
    >
      <Link
        to={`/covers/${id}`}
        className="font-semibold text-ink underline-offset-2 after:absolute after:inset-0 hover:underline"
      >
        {name}
      </Link>
      <p className="text-sm">{planned ? <Summary planned={planned} /> : ' '}</p>
      <p className="text-sm text-soft">
        {state !== 'draft' && stateWords[state]}
        {state !== 'draft' && due && ' · '}
        {due && sayDue(due)}
      </p>
      <button
        className="absolute right-9 bottom-0 z-10 grid place-items-center rounded-md p-2 text-soft opacity-0 group-hover:opacity-100 hover:text-ink focus-visible:opacity-100 [@media(hover:none)]:opacity-100"
        aria-label={`More for ${name}`}
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        <MoreHorizontal className="size-4" aria-hidden />
      </button>
      <DeleteCover id={id} version={version} name={name} />
      {isOpen && row && (
        <Suspense>
          <CoverActions entry={entry} row={row} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </ShelfPlace>
  )
})

interface ClosedProps {
  readonly entry: ShelfEntry
  readonly planned: Planned
  readonly cloth: ClothLook | undefined
}

/** What is pinned on its cloth is asked for; nearly no cover is. */
function Closed({ entry: { id, pinned }, planned, cloth }: ClosedProps) {
  const plain = <ClosedCover planned={planned} cloth={cloth} />
  if (!pinned || !cloth) return plain
  return (
    <Suspense fallback={plain}>
      <PinnedCover id={id} cutting={pinned} planned={planned} cloth={cloth} />
    </Suspense>
  )
}

/** Room is kept, so that nothing moves when the picture comes. */
function NotDrawnYet() {
  return <div className="h-32 w-20" />
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

interface DeleteCoverProps {
  readonly id: string
  readonly version: number
  readonly name: string
}

function DeleteCover({ id, version, name }: DeleteCoverProps) {
  const [deleteCover, { isLoading, error }] = useDeleteCoverMutation()
  const dispatch = useAppDispatch()
  const remove = async () => {
    const answer = await deleteCover({ id, version })
    if (answer.error) return
    const ref = refOf('cover', id)
    dispatch(forgotten(ref))
    await dropKeptDrafts(ref)
    dispatch(deleted({ kind: 'cover', id, name }))
  }
  return <DeleteButton name={name} busy={isLoading} error={error} onDelete={() => void remove()} />
}

function outerName(file: CoverFile): string {
  return file.layers.find(({ role }) => role === 'outer')?.name ?? ''
}

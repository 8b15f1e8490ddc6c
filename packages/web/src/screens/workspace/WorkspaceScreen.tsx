import { useCallback, useEffect, useMemo, useState } from 'react'
import { Link, useParams } from 'react-router'
import { useCoverQuery } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { useAppDispatch, useAppSelector } from '../../app/store'
import type { Draft } from '../../drafts/draft'
import { changed, opened } from '../../drafts/drafts-slice'
import { findKeptDraft } from '../../drafts/kept-drafts'
import { plannedOf } from '../../views/planned'
import { ConflictNotice } from './ConflictNotice'
import { CoverContext, divisionOf, useCover, type CoverInHand } from './cover-context'
import { EndOnPicture, LivePicture } from './LivePicture'
import { StationPath } from './StationPath'
import { stations, type Station } from './stations'
import { StationView } from './StationView'
import { useWorkspaceKeys } from './use-workspace-keys'
import { WorkspaceHeader } from './WorkspaceHeader'

/** One cover: its stations at the left, the live picture at the right. */
export function Screen() {
  const { id = '' } = useParams()
  const draft = useOpenDraft(id)
  const { error } = useCoverQuery(id)
  if (draft) return <Workspace draft={draft} />
  return (
    <main className="p-8">
      {error ? (
        <div role="alert" className="grid gap-3">
          <p className="text-lg">{describeError(error)}</p>
          <Link className="text-thread underline" to="/">
            To the shelf
          </Link>
        </div>
      ) : (
        <p className="text-soft">Fetching the cover …</p>
      )}
    </main>
  )
}

/** The draft of a cover, opened from the server's row and from what this device kept of unsaved work. */
function useOpenDraft(id: string): Draft | undefined {
  const { data: row } = useCoverQuery(id, { refetchOnMountOrArgChange: true })
  const dispatch = useAppDispatch()
  const [openedId, setOpenedId] = useState('')
  useEffect(() => {
    if (!row || row.id !== id) return
    void findKeptDraft(id).then(kept => {
      dispatch(opened({ row, kept }))
      setOpenedId(id)
    })
  }, [dispatch, id, row])
  const draft = useAppSelector(state => state.drafts[id])
  return openedId === id ? draft : undefined
}

function Workspace({ draft }: { readonly draft: Draft }) {
  const { station } = useParams()
  const here = stations.find(name => name === station) ?? 'measure'
  const cover = useCoverInHand(draft)
  useWorkspaceKeys(draft.id)
  return (
    <CoverContext value={cover}>
      <main className="flex flex-1 flex-col lg:h-[calc(100dvh-3.25rem)] lg:flex-none">
        <WorkspaceHeader />
        <StationPath here={here} />
        {draft.conflict && <ConflictNotice draft={draft} current={draft.conflict} />}
        <div
          className={`grid flex-1 lg:min-h-0 lg:grid-rows-[minmax(0,1fr)] ${
            here === 'layout'
              ? 'lg:grid-cols-[7fr_minmax(20rem,4fr)]'
              : 'lg:grid-cols-[minmax(26rem,5fr)_7fr]'
          }`}
        >
          <StationArea here={here} />
          {here === 'layout' ? (
            <div className="contents max-lg:hidden">
              <LivePicture />
            </div>
          ) : (
            <LivePicture />
          )}
        </div>
      </main>
    </CoverContext>
  )
}

function StationArea({ here }: { readonly here: Station }) {
  const { planned, unit } = useCover()
  return (
    <div className="order-2 min-w-0 px-4 py-6 sm:px-6 lg:order-1 lg:overflow-y-auto">
      <StationView station={here} />
      {planned.plan && here !== 'layout' && (
        <EndOnPicture plan={planned.plan} unit={unit} className="mt-8 h-36 sm:h-52 lg:hidden" />
      )}
    </div>
  )
}

function useCoverInHand(draft: Draft): CoverInHand {
  const dispatch = useAppDispatch()
  const { id, file } = draft
  const change = useCallback<CoverInHand['change']>(
    (key, make) => dispatch(changed(id, make(file), key)),
    [dispatch, id, file],
  )
  return useMemo(() => {
    const planned = plannedOf(file)
    const unit = file.unit ?? 'in'
    return { draft, file, planned, unit, division: divisionOf(planned, unit), change }
  }, [draft, file, change])
}

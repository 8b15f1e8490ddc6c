import { checkReach, handsOf, type CoverBody } from '@snowdrift/core'
import { useCallback, useMemo } from 'react'
import { useParams } from 'react-router'
import { useCoverQuery, useSettingsQuery } from '../../api/api'
import type { Draft } from '../../drafts/draft'
import { standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { ConflictNotice } from '../../parts/ConflictNotice'
import { useAppSelector } from '../../app/store'
import { InCloth } from '../../views/cloth/InCloth'
import { WrittenUnit } from '../../parts/written-unit'
import { plannedOf, type Planned } from '../../views/planned'
import { CoverAwaited } from '../../views/CoverAwaited'
import { useIsWide } from '../../views/use-media'
import { usePageTitle } from '../../views/use-page-title'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { CoverContext, divisionOf, useCover, type CoverInHand } from './cover-context'
import { EndOnPicture, LivePicture } from './LivePicture'
import { StationPath } from './StationPath'
import { NextStation } from './NextStation'
import { stations, stationWords, type Station } from './stations'
import { useStationFocus } from './use-station-focus'
import { StationView } from './StationView'
import { useHeldPlan } from './use-held-plan'
import { useThingFollows } from './use-thing-follows'
import { useWorkspaceKeys } from './use-workspace-keys'
import { WorkspaceHeader } from './WorkspaceHeader'

/** One cover: its stations at the left, the live picture at the right. */
export function Screen() {
  const { id = '' } = useParams()
  const draft = useOpenDraft(id)
  if (draft) return <Workspace id={id} draft={draft} />
  return (
    <main className="p-8">
      <CoverAwaited id={id} />
    </main>
  )
}

function useOpenDraft(id: string): Draft<CoverBody> | undefined {
  const { data: row } = useCoverQuery(id, { refetchOnMountOrArgChange: true })
  return useDraft('cover', id, row?.id === id ? standingOf('cover', row) : undefined)
}

interface WorkspaceProps {
  readonly id: string
  readonly draft: Draft<CoverBody>
}

function Workspace({ id, draft }: WorkspaceProps) {
  const { station } = useParams()
  const here = stations.find(name => name === station) ?? 'measure'
  const cover = useCoverInHand(id, draft)
  const isBeside = useAppSelector(state => state.beside.layout)
  useWorkspaceKeys(id)
  usePageTitle(draft.body.file.name || 'Cover without a name', stationWords[here])
  return (
    <CoverContext value={cover}>
      <InCloth coverId={id} planned={cover.planned}>
        <WrittenUnit value={draft.body.file.unit ?? 'in'}>
          <main className="flex flex-1 flex-col lg:h-[calc(100dvh-3.25rem)] lg:flex-none">
            <WorkspaceHeader />
            <StationPath here={here} />
            {draft.conflict && (
              <ConflictNotice what="This cover was" draft={draft} current={draft.conflict} />
            )}
            <div
              className={`grid flex-1 lg:min-h-0 lg:grid-rows-[minmax(0,1fr)] ${columnsOf(here, isBeside)}`}
            >
              <StationArea here={here} />
              {here !== 'layout' && <LivePicture />}
              {here === 'layout' && isBeside && (
                <div className="contents max-lg:hidden">
                  <LivePicture />
                </div>
              )}
            </div>
          </main>
        </WrittenUnit>
      </InCloth>
    </CoverContext>
  )
}

/** The cover stands beside each station; at the layout the cloth has the room, unless the cover is wanted there too. */
function columnsOf(here: Station, isBeside: boolean): string {
  if (here !== 'layout') return 'lg:grid-cols-[minmax(26rem,5fr)_7fr]'
  return isBeside ? 'lg:grid-cols-[7fr_minmax(20rem,4fr)]' : ''
}

function StationArea({ here }: { readonly here: Station }) {
  const { shown, unit } = useCover()
  const area = useStationFocus(here)
  const isWide = useIsWide()
  return (
    <div
      ref={area}
      tabIndex={-1}
      role="region"
      aria-label={stationWords[here]}
      className="relative order-2 flex min-w-0 scroll-pb-28 flex-col px-4 py-6 outline-none sm:px-6 lg:order-1 lg:overflow-y-auto"
    >
      <div className="flex-1">
        <StationView station={here} />
      </div>
      <NextStation here={here} />
      {shown.plan && !isWide && here !== 'layout' && (
        <EndOnPicture plan={shown.plan} unit={unit} className="mt-8 h-36 sm:h-52" />
      )}
    </div>
  )
}

function useCoverInHand(id: string, draft: Draft<CoverBody>): CoverInHand {
  const changes = useDraftChanges('cover', id)
  const { file } = draft.body
  const change = useCallback<CoverInHand['change']>(
    (key, make) => changes.change(key, body => ({ ...body, file: make(body.file) })),
    [changes],
  )
  const planned = useWithReach(plannedOf(file))
  const shown = useHeldPlan(planned)
  const unit = useWorkshopUnit(file.unit)
  const thing = useThingFollows(draft, planned)
  return useMemo(() => {
    const division = divisionOf(planned, unit)
    return { id, draft, file, planned, shown, thing, unit, division, change, putBack: changes.putBack }
  }, [id, draft, file, planned, shown, thing, unit, change, changes])
}

/** What the tools at hand do not reach is found while planning, not at the table. */
function useWithReach(planned: Planned): Planned {
  const { data: settings } = useSettingsQuery()
  return useMemo(() => {
    const reach = planned.plan && settings ? checkReach(planned.plan, handsOf(settings)) : []
    return reach.length > 0 ? { ...planned, findings: [...planned.findings, ...reach] } : planned
  }, [planned, settings])
}

import { foldCover, handsOf, initialSettings, sayAmounts, type Folded, type Unit } from '@snowdrift/core'
import { ArrowLeft } from 'lucide-react'
import { useMemo } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { useCoverQuery, useSettingsQuery } from '../../api/api'
import { standingOf } from '../../drafts/kinds'
import { useDraft } from '../../drafts/use-draft'
import { InCloth } from '../../views/cloth/InCloth'
import { ClothToggle } from '../../views/cloth/ClothToggle'
import { CoverAwaited } from '../../views/CoverAwaited'
import { plannedOf } from '../../views/planned'
import { usePageTitle } from '../../views/use-page-title'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { FoldedPicture } from './FoldedPicture'

/** How the cover comes together, from its pieces on the table to the closed thing. */
export function Screen() {
  const { id = '' } = useParams()
  const [place] = useSearchParams()
  const { data: row } = useCoverQuery(id)
  const { data: settings } = useSettingsQuery()
  const draft = useDraft('cover', id, row?.id === id ? standingOf('cover', row) : undefined)
  const planned = draft && plannedOf(draft.body.file)
  const unit = useWorkshopUnit(draft?.body.file.unit)
  const folded = useMemo(
    () => (planned?.cover && planned.plan ? inUnit(foldCover(planned.cover, planned.plan), unit) : undefined),
    [planned, unit],
  )
  const name = draft?.body.file.name ?? ''
  usePageTitle(name, 'How it comes together')
  const { leftHanded } = handsOf(settings ?? initialSettings())
  return (
    <main className="flex flex-1 flex-col px-4 py-4 sm:px-6 lg:h-[calc(100dvh-3.25rem)] lg:flex-none">
      <div className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-2">
        <Link to={`/covers/${id}/make`} className="inline-flex min-h-9 items-center gap-1 text-soft">
          <ArrowLeft className="size-4" aria-hidden /> {name || 'The cover'}
        </Link>
        <h1 className="text-xl font-semibold">How it comes together</h1>
        <span className="flex-1" />
        <ClothToggle />
      </div>
      {!planned ? (
        <CoverAwaited id={id} />
      ) : folded ? (
        <InCloth coverId={id} planned={planned}>
          <FoldedPicture folded={folded} start={stageAt(folded, place.get('at'))} mirrored={leftHanded} />
        </InCloth>
      ) : (
        <p className="text-soft">
          The cover comes together as soon as it is planned: a reading is still missing.
        </p>
      )}
    </main>
  )
}

/** Amounts of the craft within the names of its stages, as the workshop measures. */
function inUnit(folded: Folded, unit: Unit): Folded {
  return { ...folded, stages: folded.stages.map(stage => ({ ...stage, name: sayAmounts(stage.name, unit) })) }
}

function stageAt({ stages }: Folded, id: string | null): number {
  return Math.max(
    0,
    stages.findIndex(stage => stage.id === id),
  )
}

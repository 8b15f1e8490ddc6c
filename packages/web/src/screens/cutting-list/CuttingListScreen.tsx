import type { CoverFile } from '@snowdrift/core'
import { Printer } from 'lucide-react'
import { Link, useParams } from 'react-router'
import { useCoverQuery } from '../../api/api'
import { useAppSelector } from '../../app/store'
import { selectDraft } from '../../drafts/drafts-slice'
import { Button } from '../../parts/Button'
import { ClothToggle } from '../../views/cloth/ClothToggle'
import { InCloth } from '../../views/cloth/InCloth'
import { CoverAwaited } from '../../views/CoverAwaited'
import { plannedOf } from '../../views/planned'
import { StillMissing } from '../../views/StillMissing'
import { Joinings } from '../workspace/pieces/Joinings'
import { usePageTitle } from '../../views/use-page-title'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { Added } from './Added'
import { Facts } from './Facts'
import { Laid } from './Laid'
import { NotionList } from './NotionList'
import { OnTheCloth } from './OnTheCloth'
import { PieceToCut } from './PieceToCut'
import { PrintCloth } from './PrintCloth'
import { InTheWay, ToMind } from './ToMind'

/** What goes to the table: every piece with its sketch, its size and an arrow to its top. Prints in black and white. */
export function Screen() {
  const { id = '' } = useParams()
  const { data: row } = useCoverQuery(id)
  const draft = useAppSelector(state => selectDraft(state, 'cover', id))
  const file = draft?.body.file ?? row?.file
  usePageTitle(file?.name ?? '', 'Cutting list')
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-6 sm:px-8 print:max-w-none print:p-0">
      <div className="no-print mb-6 flex flex-wrap items-center gap-x-4 gap-y-3">
        <Link to={`/covers/${id}/pieces`} className="mr-auto inline-flex items-center text-thread underline">
          Back to the cover
        </Link>
        <ClothToggle />
        <PrintCloth />
        <Button look="act" disabled={!file || !plannedOf(file).plan} onClick={() => print()}>
          <Printer className="size-4" aria-hidden /> Print
        </Button>
      </div>
      {file ? <CuttingList id={id} file={file} /> : <CoverAwaited id={id} />}
    </main>
  )
}

function CuttingList({ id, file }: { readonly id: string; readonly file: CoverFile }) {
  const planned = plannedOf(file)
  const { plan } = planned
  const unit = useWorkshopUnit(file.unit)
  if (!plan)
    return (
      <article className="grid gap-4">
        <h1 className="text-2xl font-semibold">{file.name || 'Cover without a name'}</h1>
        <p className="text-xl font-semibold">Nothing to cut yet.</p>
        <StillMissing file={file} planned={planned} />
      </article>
    )
  return (
    <InCloth coverId={id} planned={planned}>
      <article>
        <h1 className="text-2xl font-semibold">{file.name || 'Cover without a name'}</h1>
        <InTheWay plan={plan} unit={unit} />
        <Facts file={file} plan={plan} unit={unit} />
        <Laid plan={plan} unit={unit} />
        <ul className="mt-4 grid gap-x-8 gap-y-6 sm:grid-cols-2 print:grid-cols-2">
          {plan.pieces.map(piece => (
            <PieceToCut key={piece.id} piece={piece} unit={unit} file={file} />
          ))}
        </ul>
        <OnTheCloth cover={{ id, file, planned }} unit={unit} />
        <ToMind plan={plan} unit={unit} />
        <Added file={file} plan={plan} unit={unit} />
        <NotionList plan={plan} unit={unit} />
        <div className="mt-6">
          <Joinings plan={plan} unit={unit} />
        </div>
      </article>
    </InCloth>
  )
}

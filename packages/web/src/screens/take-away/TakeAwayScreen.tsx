import { usualLabels, type Audience, type CoverFile, type LabelSheet, type PaperName } from '@snowdrift/core'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { useCoverQuery } from '../../api/api'
import { readDevice, writeDevice } from '../../app/device-storage'
import { useAppSelector } from '../../app/store'
import { selectDraft } from '../../drafts/drafts-slice'
import { CheckField } from '../../parts/CheckField'
import { SelectField } from '../../parts/SelectField'
import { Toggle } from '../../parts/Toggle'
import { CoverAwaited } from '../../views/CoverAwaited'
import { plannedOf } from '../../views/planned'
import { usePageTitle } from '../../views/use-page-title'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { audienceWords, forMachines, labelWords, onPaper, paperWords, usualPaper } from './exports'
import { CoverItself } from './CoverItself'
import { ExportRow } from './ExportRow'
import { Links } from './Links'
import { useExport } from './use-export'

/** What of a cover can be taken away: on paper, to machines, as its open file. */
export function Screen() {
  const { id = '' } = useParams()
  const { data: row } = useCoverQuery(id)
  const draft = useAppSelector(state => selectDraft(state, 'cover', id))
  const file = draft?.body.file ?? row?.file
  usePageTitle(file?.name ?? '', 'Paper and files')
  return (
    <main className="mx-auto grid w-full max-w-2xl content-start gap-8 px-4 py-8 sm:px-8">
      <div className="grid gap-2">
        <Link
          to={`/covers/${id}`}
          className="inline-flex min-h-9 items-center justify-self-start text-thread underline"
        >
          Back to the cover
        </Link>
        <h1 className="text-3xl font-semibold tracking-tight">Paper and files</h1>
        {file?.name && <p className="text-soft">“{file.name}”, as it stands now.</p>}
      </div>
      {file ? <TakeAway id={id} file={file} /> : <CoverAwaited id={id} />}
    </main>
  )
}

const paperKey = 'snowdrift.paper'

function TakeAway({ id, file }: { readonly id: string; readonly file: CoverFile }) {
  const unit = useWorkshopUnit(file.unit ?? 'in')
  const [paper, setPaper] = useState<PaperName>(() => keptPaper() ?? usualPaper(unit))
  const [labels, setLabels] = useState<LabelSheet>()
  const [audience, setAudience] = useState<Audience>('maker')
  const [withPlain, setWithPlain] = useState(false)
  const { now, start, stop } = useExport(file)
  const isPlanned = plannedOf(file).plan !== undefined
  const choosePaper = (next: PaperName) => {
    setPaper(next)
    writeDevice(paperKey, next)
  }
  const shared = { now, onStop: stop }
  return (
    <>
      {!isPlanned && (
        <p className="text-soft">Until the cover is planned there is the measuring card, and its file.</p>
      )}
      <section className="grid gap-4" aria-labelledby="on-paper">
        <div className="flex flex-wrap items-end justify-between gap-4">
          <h2 id="on-paper" className="text-xl font-semibold">
            On paper
          </h2>
          <Toggle label="Paper" value={paper} choices={paperWords} onChange={choosePaper} />
        </div>
        {onPaper.map(offer => (
          <ExportRow
            key={offer.kind}
            {...shared}
            offer={offer}
            disabled={!isPlanned && offer.kind !== 'card'}
            onStart={() =>
              void start(offer.kind, offer.extension, {
                paper,
                audience,
                withPlain,
                labels: labels ?? usualLabels(paper),
              })
            }
          >
            {offer.kind === 'sheet' && (
              <Toggle
                label="Whom it is for"
                value={audience}
                choices={audienceWords}
                onChange={setAudience}
              />
            )}
            {offer.kind === 'templates' && (
              <CheckField label="Plain rectangles, too" checked={withPlain} onChange={setWithPlain} />
            )}
            {offer.kind === 'labels' && (
              <SelectField
                label="Sheet of labels"
                value={labels ?? usualLabels(paper)}
                choices={labelWords}
                onChange={next => setLabels(next)}
              />
            )}
          </ExportRow>
        ))}
      </section>
      <section className="grid gap-4" aria-labelledby="for-machines">
        <h2 id="for-machines" className="text-xl font-semibold">
          For machines and tables
        </h2>
        {forMachines.map(offer => (
          <ExportRow
            key={offer.kind}
            {...shared}
            offer={offer}
            disabled={!isPlanned}
            onStart={() => void start(offer.kind, offer.extension, {})}
          />
        ))}
      </section>
      <CoverItself id={id} file={file} />
      <Links id={id} />
    </>
  )
}

function keptPaper(): PaperName | undefined {
  const kept = readDevice(paperKey)
  return (Object.keys(paperWords) as PaperName[]).find(name => name === kept)
}

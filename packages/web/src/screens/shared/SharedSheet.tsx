import {
  listThings,
  readingKeys,
  readingWords,
  textOfReading,
  type CoverFile,
  type TypedObject,
  type Unit,
} from '@snowdrift/core'
import { Printer } from 'lucide-react'
import { Button, buttonLooks, buttonShape } from '../../parts/Button'
import { Fractions } from '../../parts/Fractions'
import { plannedOf } from '../../views/planned'
import { StillMissing } from '../../views/StillMissing'
import { typeset } from '../../views/typeset'
import { unitWords } from '../../views/unit-words'
import { Added } from '../cutting-list/Added'
import { Facts } from '../cutting-list/Facts'
import { Laid } from '../cutting-list/Laid'
import { NotionList } from '../cutting-list/NotionList'
import { PieceToCut } from '../cutting-list/PieceToCut'

interface SharedSheetProps {
  readonly token: string
  readonly file: CoverFile
  readonly expiresAt: string
}

/** A project sheet to look at and to print; nothing can be changed. */
export function SharedSheet({ token, file, expiresAt }: SharedSheetProps) {
  const planned = plannedOf(file)
  const { plan } = planned
  const unit: Unit = file.unit ?? 'in'
  return (
    <article className="grid gap-5">
      <div className="flex flex-wrap items-start justify-between gap-3">
        <div>
          <h1 className="text-3xl font-semibold tracking-tight">{file.name || 'Cover without a name'}</h1>
          <p className="no-print text-soft">
            Shown by whoever made it, until{' '}
            {new Date(expiresAt).toLocaleDateString(undefined, { dateStyle: 'long' })}.
          </p>
        </div>
        {plan && (
          <div className="no-print flex gap-3">
            <a
              className={`${buttonShape} ${buttonLooks.plain}`}
              href={`/api/shared/${token}/sheet.pdf?paper=${unit === 'in' ? 'letter' : 'a4'}`}
              download
            >
              PDF
            </a>
            <Button look="act" onClick={() => print()}>
              <Printer className="size-4" aria-hidden /> Print
            </Button>
          </div>
        )}
      </div>
      {listThings(file).map((thing, index) => (
        <Readings key={index} thing={thing} unit={unit} />
      ))}
      {plan ? (
        <>
          <Facts file={file} plan={plan} unit={unit} />
          <Laid plan={plan} unit={unit} />
          <ul className="grid gap-x-8 gap-y-6 sm:grid-cols-2 print:grid-cols-2">
            {plan.pieces.map(piece => (
              <PieceToCut key={piece.id} piece={piece} unit={unit} file={file} />
            ))}
          </ul>
          <Added file={file} plan={plan} unit={unit} />
          <NotionList plan={plan} unit={unit} />
        </>
      ) : (
        <StillMissing file={file} planned={planned} />
      )}
    </article>
  )
}

/** The thing as it was measured. */
function Readings({ thing, unit }: { readonly thing: TypedObject; readonly unit: Unit }) {
  const taken = readingKeys.filter(key => (thing.readings?.[key] ?? []).length > 0)
  if (taken.length === 0) return null
  return (
    <ul className="flex flex-wrap gap-x-6 gap-y-1" aria-label="As it was measured">
      {taken.map(key => (
        <li key={key}>
          <span className="text-soft">{readingWords[key].name}</span>{' '}
          <Fractions text={typeset((thing.readings?.[key] ?? []).map(textOfReading).join(', '))} />
        </li>
      ))}
      <li className="text-soft">in {unitWords[unit]}</li>
    </ul>
  )
}

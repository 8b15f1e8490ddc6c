import {
  namePiece,
  findFamily,
  drawPiece,
  drawStrip,
  sayProperly,
  roleWords,
  type CoverFile,
  type Piece,
  type Plan,
  type Unit,
} from '@snowdrift/core'
import { Printer } from 'lucide-react'
import { useMemo } from 'react'
import { Link, useParams } from 'react-router'
import { useCoverQuery } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { useAppSelector } from '../../app/store'
import { selectDraft } from '../../drafts/drafts-slice'
import { Button } from '../../parts/Button'
import { Length } from '../../parts/Length'
import { DrawingView } from '../../views/DrawingView'
import { plannedOf } from '../../views/planned'
import { StillMissing } from '../../views/StillMissing'
import { Joinings } from '../workspace/pieces/Joinings'
import { textScaleFor } from '../../views/text-scale'
import { usePageTitle } from '../../views/use-page-title'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { verdictWords } from '../../views/verdict-words'
import { Added } from './Added'
import { OnTheCloth } from './OnTheCloth'
import { InTheWay, ToMind } from './ToMind'

/** What goes to the table: every piece with its sketch, its size and an arrow to its top. Prints in black and white. */
export function Screen() {
  const { id = '' } = useParams()
  const { data: row, error } = useCoverQuery(id)
  const draft = useAppSelector(state => selectDraft(state, 'cover', id))
  const file = draft?.body.file ?? row?.file
  usePageTitle(file?.name ?? '', 'Cutting list')
  return (
    <main className="mx-auto w-full max-w-4xl px-4 py-6 sm:px-8 print:max-w-none print:p-0">
      <div className="no-print mb-6 flex items-center gap-4">
        <Link to={`/covers/${id}/pieces`} className="inline-flex items-center text-thread underline">
          Back to the cover
        </Link>
        <span className="flex-1" />
        <Button look="act" disabled={!file || !plannedOf(file).plan} onClick={() => print()}>
          <Printer className="size-4" aria-hidden /> Print
        </Button>
      </div>
      {file ? (
        <CuttingList id={id} file={file} />
      ) : (
        <p role={error ? 'alert' : undefined}>{error ? describeError(error) : 'Fetching the cover …'}</p>
      )}
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
      {plan.notions.length > 0 && (
        <section className="keep-together mt-6">
          <h2 className="text-lg font-semibold">Notions</h2>
          <ul>
            {plan.notions.map(({ id, count, length, width, grams }) => (
              <li key={id}>
                ☐ {count} × {namePiece(id)}
                {grams !== undefined && `, ${grams} g a coat`}
                {length && (
                  <>
                    , <Length value={length.cut} unit={unit} /> each
                  </>
                )}
                {width !== undefined && (
                  <>
                    , <Length value={width} unit={unit} finest={16} /> wide
                  </>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      <div className="mt-6">
        <Joinings plan={plan} unit={unit} />
      </div>
    </article>
  )
}

const laidFrame = { width: 400, height: 176, letter: 11 }
const sketchFrame = { width: 400, height: 192, letter: 13 }

/** The finished cover from outside and from inside, with its sizes. */
function Laid({ plan, unit }: { readonly plan: Plan; readonly unit: Unit }) {
  const [outside, inside] = useMemo(
    () => (['outside', 'inside'] as const).map(face => drawStrip(plan.strip, sayProperly(unit), { face })),
    [plan, unit],
  )
  if (!outside || !inside) return null
  return (
    <div className="keep-together mt-4 grid gap-6 sm:grid-cols-2 print:grid-cols-2">
      {[outside, inside].map(drawing => (
        <figure key={drawing.title}>
          <div className="h-44">
            <DrawingView drawing={drawing} textScale={textScaleFor(drawing, laidFrame)} />
          </div>
          <figcaption className="text-sm text-soft">{drawing.title}</figcaption>
        </figure>
      ))}
    </div>
  )
}

interface FactsProps {
  readonly file: CoverFile
  readonly plan: Plan
  readonly unit: Unit
}

function Facts({ file, plan, unit }: FactsProps) {
  const { traits = [] } = findFamily(file.family) ?? {}
  return (
    <p className="mt-1 text-soft">
      {traits.includes('seamed') ? (
        <>
          Seam <Length value={plan.settled.seam} unit={unit} />, included.{' '}
        </>
      ) : traits.includes('glued') ? (
        'Glued: the turn-ins are included, and there is no seam. '
      ) : (
        'Stitched near its edges: there is no seam. '
      )}
      {plan.fits.map(({ direction, finished, verdict }) => (
        <span key={direction}>
          Finished {direction} <Length value={finished} unit={unit} />, {verdictWords[verdict]}.{' '}
        </span>
      ))}
      Width runs along the wrap; the arrow points to the top.
    </p>
  )
}

function PieceToCut({
  piece,
  unit,
  file,
}: {
  readonly piece: Piece
  readonly unit: Unit
  readonly file: CoverFile
}) {
  const drawing = useMemo(() => drawPiece(piece, sayProperly(unit)), [piece, unit])
  const { id, role, count, width, height, trimTo, measureFirst, blank } = piece
  const cloth = file.cutFrom?.[id] ?? file.layers.find(layer => layer.role === role)?.name
  const note = file.pieceNotes?.[id]
  return (
    <li className="keep-together" data-piece={id}>
      <div className="flex items-baseline gap-2 border-b border-strong-rule pb-1">
        <span aria-hidden>☐</span>
        <h2 className="flex-1 text-lg font-semibold">{namePiece(id)}</h2>
        <span className="text-lg">
          {count} × <Length value={width.cut} unit={unit} bare /> × <Length value={height.cut} unit={unit} />
        </span>
      </div>
      <p className="text-sm text-soft">
        {cloth || roleWords[role].toLowerCase()}
        {measureFirst && '; measure first'}
        {note && `; ${note}`}
        {blank && (
          <>
            ; on the bias, from a square of <Length value={blank.cut} unit={unit} />
          </>
        )}
        {trimTo && (
          <>
            ; trim to {trimTo.piece}, <Length value={trimTo.width} unit={unit} bare /> ×{' '}
            <Length value={trimTo.height} unit={unit} />
          </>
        )}
      </p>
      <div className="mt-1 h-48">
        <DrawingView drawing={drawing} textScale={textScaleFor(drawing, sketchFrame)} />
      </div>
    </li>
  )
}

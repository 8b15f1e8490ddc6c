import { oneStep } from '../../../drafts/draft'
import { namePiece, applyRepair, type Notion, type Piece, type Unit, roleWords } from '@snowdrift/core'
import { useEffect, useRef } from 'react'
import { lit } from '../../../app/lit-slice'
import { useAppDispatch, useAppSelector } from '../../../app/store'
import { FindingNote } from '../../../parts/FindingNote'
import { Length } from '../../../parts/Length'
import { useCover } from '../cover-context'
import { NotYet } from '../NotYet'
import { Regrets } from '../LastTime'
import { stationOf } from '../stations'
import { FitTable } from './FitTable'
import { Joinings } from './Joinings'
import { OtherThings } from './OtherThings'
import { PieceMakeUp } from './PieceMakeUp'
import { ReasonSum } from './ReasonSum'
import { useAskedPiece } from './use-asked-piece'

const none: readonly Piece[] = []

/** Every piece with its size and the reasons that add up to it; what to buy; how it fits. */
export function PiecesStation() {
  const { planned, unit, change } = useCover()
  const { plan } = planned
  const asked = useAskedPiece(plan?.pieces ?? none)
  if (!plan) return <NotYet>The pieces are worked out as soon as everything it needs can be read.</NotYet>
  const { pieces } = plan
  const about = plan.findings.filter(finding => stationOf(finding) === 'pieces')
  return (
    <div className="grid gap-8">
      <h2 className="sr-only">Pieces</h2>
      {about.map(finding => (
        <FindingNote
          key={`${finding.code} ${finding.about}`}
          finding={finding}
          unit={unit}
          onRepair={repair => change(oneStep, current => applyRepair(current, repair))}
        />
      ))}
      <Regrets />
      <section>
        <h3 className="mb-2 text-lg font-semibold">To cut</h3>
        <ul className="divide-y divide-rule border-y border-rule">
          {pieces.map(piece => (
            <PieceRow
              key={piece.id}
              piece={piece}
              unit={unit}
              asked={piece.id === asked?.piece ? asked.key : undefined}
            />
          ))}
        </ul>
      </section>
      {plan.notions.length > 0 && (
        <section>
          <h3 className="mb-2 text-lg font-semibold">Notions</h3>
          <ul className="divide-y divide-rule border-y border-rule">
            {plan.notions.map(notion => (
              <NotionRow key={notion.id} notion={notion} unit={unit} />
            ))}
          </ul>
        </section>
      )}
      <FitTable fits={plan.fits} unit={unit} />
      <Joinings plan={plan} unit={unit} />
      <OtherThings plan={plan} />
    </div>
  )
}

interface PieceRowProps {
  readonly piece: Piece
  readonly unit: Unit
  /** Another one each time that the piece is pointed at in the picture. */
  readonly asked: string | undefined
}

function PieceRow({ piece, unit, asked }: PieceRowProps) {
  const details = useRef<HTMLDetailsElement>(null)
  useEffect(() => {
    if (asked === undefined) return
    // after the station itself, which takes the focus where one comes to it
    const frame = requestAnimationFrame(() => {
      if (!details.current) return
      details.current.open = true
      details.current.scrollIntoView({ block: 'nearest' })
      details.current.querySelector('select')?.focus()
    })
    return () => cancelAnimationFrame(frame)
  }, [asked])
  const dispatch = useAppDispatch()
  const isLit = useAppSelector(state => state.lit.piece === piece.id)
  const { id, role, count, width, height, trimTo, measureFirst, blank } = piece
  return (
    <li
      className={`py-2.5 pl-2 ${isLit ? 'bg-thread-soft' : ''}`}
      data-piece={id}
      onPointerEnter={() => dispatch(lit(id))}
      onPointerLeave={() => dispatch(lit(null))}
      onFocus={() => dispatch(lit(id))}
      onBlur={() => dispatch(lit(null))}
    >
      <details ref={details}>
        <summary className="flex flex-wrap items-baseline gap-x-3">
          <span className="w-8 text-soft">{count} ×</span>
          <span className="flex-1 font-medium">
            {namePiece(id)}
            <OwnWords piece={id} />
          </span>
          <span className="text-lg">
            <Length value={width.cut} unit={unit} bare /> × <Length value={height.cut} unit={unit} />
          </span>
          <span className="text-sm text-thread underline">Why?</span>
        </summary>
        <div className="mt-2 grid gap-4 pb-2 pl-11">
          <ReasonSum name="Width" side={width} unit={unit} />
          <ReasonSum name="Height" side={height} unit={unit} />
          <p className="text-sm text-soft">
            {roleWords[role]}, width along the wrap.
            {trimTo && (
              <>
                {' '}
                Cut oversize; trimmed to {trimTo.piece} at <Length value={trimTo.width} unit={unit} bare /> ×{' '}
                <Length value={trimTo.height} unit={unit} />.
              </>
            )}
            {measureFirst && ' Measure it off the made thing before it is cut.'}
            {blank && (
              <>
                {' '}
                On the bias, from a square of <Length value={blank.cut} unit={unit} />.
              </>
            )}
          </p>
          <PieceMakeUp piece={piece} />
        </div>
      </details>
    </li>
  )
}

/** Of a piece with a cloth of its own, its name; and what was noted of it. */
function OwnWords({ piece }: { readonly piece: string }) {
  const { file } = useCover()
  const [cloth, note] = [file.cutFrom?.[piece], file.pieceNotes?.[piece]]
  const said = [cloth && `of ${cloth}`, note].filter(Boolean).join(' · ')
  return said ? <span className="block text-sm font-normal text-soft">{said}</span> : null
}

function NotionRow({ notion, unit }: { readonly notion: Notion; readonly unit: Unit }) {
  const { id, count, length, width, measureFirst, grams } = notion
  return (
    <li className="py-2.5 pl-2">
      <details>
        <summary className="flex flex-wrap items-baseline gap-x-3">
          <span className="w-8 text-soft">{count} ×</span>
          <span className="flex-1 font-medium">{namePiece(id)}</span>
          {length && (
            <span className="text-lg">
              <Length value={length.cut} unit={unit} />
            </span>
          )}
          {grams !== undefined && <span className="text-lg">{grams} g a coat</span>}
          <span className="text-sm text-thread underline">Why?</span>
        </summary>
        <div className="mt-2 pb-2 pl-11">
          {length && <ReasonSum name="Length" side={length} unit={unit} />}
          {width !== undefined && (
            <p className="text-sm">
              Width <Length value={width} unit={unit} finest={16} />
            </p>
          )}
          {measureFirst && <p className="text-sm text-soft">Measure it off the made thing first.</p>}
        </div>
      </details>
    </li>
  )
}

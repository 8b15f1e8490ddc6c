import {
  drawPiece,
  namePiece,
  roleWords,
  sayProperly,
  type CoverFile,
  type Piece,
  type Unit,
} from '@snowdrift/core'
import { useMemo } from 'react'
import { Length } from '../../parts/Length'
import { DrawingView } from '../../views/DrawingView'
import { textScaleFor } from '../../views/text-scale'

const sketchFrame = { width: 400, height: 192, letter: 13 }

/** One piece with its sketch, its size and what to mind of it. */
export function PieceToCut({
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

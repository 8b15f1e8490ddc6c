import { svgNumber, svgPath, toMm, type Drawing, type Mark } from '@snowdrift/core'
import { memo, useId } from 'react'
import { useAppDispatch, useAppSelector } from '../app/store'
import { lit } from '../app/lit-slice'
import { fractionParts } from './fraction-parts'

interface DrawingViewProps {
  readonly drawing: Drawing
  /** Letters as a share of the drawing's longer side; larger on narrow screens. */
  readonly textScale?: number
  readonly label?: string
  /** What happens to a piece that is pressed; a list beside the picture does the same for the keyboard. */
  readonly onPick?: (piece: string) => void
}

/** Renders a neutral drawing to SVG, in millimetres. A piece lights up with its row in every list. */
export const DrawingView = memo(function DrawingView({
  drawing,
  textScale = 0.024,
  label,
  onPick,
}: DrawingViewProps) {
  const dispatch = useAppDispatch()
  const litPiece = useAppSelector(state => state.lit.piece)
  const arrow = useId()
  const [left, top] = drawing.from
  const textSize = Math.max(toMm(drawing.width), toMm(drawing.height)) * textScale
  return (
    <svg
      className="drawing"
      role="img"
      aria-label={label ?? drawing.title}
      viewBox={[left, top, drawing.width, drawing.height].map(svgNumber).join(' ')}
      preserveAspectRatio="xMidYMid meet"
      onPointerLeave={() => dispatch(lit(null))}
    >
      <defs>
        <marker
          id={arrow}
          viewBox="0 0 8 8"
          refX="7"
          refY="4"
          markerUnits="userSpaceOnUse"
          markerWidth={textSize * 0.7}
          markerHeight={textSize * 0.7}
          orient="auto-start-reverse"
        >
          <path d="M0 1 7 4 0 7z" fill="context-stroke" />
        </marker>
      </defs>
      {drawing.marks.map((mark, index) => (
        <MarkView
          key={index}
          mark={mark}
          textSize={textSize}
          arrow={`url(#${arrow})`}
          isLit={mark.kind === 'path' && mark.piece !== undefined && mark.piece === litPiece}
          onPoint={piece => dispatch(lit(piece))}
          onPick={onPick}
        />
      ))}
    </svg>
  )
})

interface MarkViewProps {
  readonly mark: Mark
  readonly textSize: number
  readonly arrow: string
  readonly isLit: boolean
  readonly onPoint: (piece: string | null) => void
  readonly onPick: ((piece: string) => void) | undefined
}

function MarkView({ mark, textSize, arrow, isLit, onPoint, onPick }: MarkViewProps) {
  switch (mark.kind) {
    case 'line': {
      const [x1, y1] = mark.from.map(svgNumber)
      const [x2, y2] = mark.to.map(svgNumber)
      return (
        <line
          className={`mark mark-${mark.style}`}
          {...{ x1, y1, x2, y2 }}
          markerEnd={mark.arrow ? arrow : undefined}
          markerStart={mark.arrow === 'both' ? arrow : undefined}
        />
      )
    }
    case 'path': {
      const { piece } = mark
      const picks = piece !== undefined && onPick !== undefined
      return (
        <path
          className={`mark mark-${mark.style} fill-${mark.fill} ${isLit ? 'lit' : ''} ${picks ? 'cursor-pointer' : ''}`}
          d={svgPath(mark)}
          data-shows={piece}
          onPointerEnter={piece === undefined ? undefined : () => onPoint(piece)}
          onClick={picks ? () => onPick(piece) : undefined}
        />
      )
    }
    case 'text': {
      const [x, y] = mark.at.map(svgNumber)
      return (
        <text
          {...{ x, y }}
          fontSize={mark.size === 'small' ? textSize * 0.86 : textSize}
          textAnchor={mark.align}
          dominantBaseline="middle"
          transform={mark.turned ? `rotate(-90 ${x} ${y})` : undefined}
        >
          {fractionParts(mark.text).map((part, index) => (
            <tspan key={index} className={part.fraction ? 'fraction' : undefined}>
              {part.text}
            </tspan>
          ))}
        </text>
      )
    }
  }
}

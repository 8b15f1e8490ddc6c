import { svgNumber, svgPath, toMm, type Drawing, type Fill, type Mark } from '@snowdrift/core'
import { memo, useId, useMemo } from 'react'
import { useAppDispatch, useAppSelector } from '../app/store'
import { lit } from '../app/lit-slice'
import type { ClothLooks } from './cloth/cloth-looks'
import { ClothPattern } from './cloth/ClothPattern'
import { bedOf, type Bed } from './cloth/photo-tiles'
import { PhotoBed } from './cloth/PhotoBed'
import type { ClothLook } from './cloth/look'
import { useClothLooks } from './cloth/use-cloth-looks'
import { fractionParts } from './fraction-parts'

interface DrawingViewProps {
  readonly drawing: Drawing
  /** Letters as a share of the drawing's longer side; larger on narrow screens. */
  readonly textScale?: number
  readonly label?: string
  /** What happens to a piece that is pressed; a list beside the picture does the same for the keyboard. */
  readonly onPick?: (piece: string) => void
  /** Its cloths, where they are others than those of the cover in hand. */
  readonly cloths?: ClothLooks
  /** What of the plane is shown, where that is not the drawing's own choice. */
  readonly frame?: DrawingFrame | undefined
}

export type DrawingFrame = Pick<Drawing, 'from' | 'width' | 'height'>

/** A frame as an SVG's viewBox, in millimetres. */
export function viewBoxOf({ from: [left, top], width, height }: DrawingFrame): string {
  return [left, top, width, height].map(svgNumber).join(' ')
}

/** How large letters are that take so much of a frame's longer side, in millimetres. */
export function letterOf({ width, height }: DrawingFrame, textScale: number): number {
  return Math.max(toMm(width), toMm(height)) * textScale
}

/** Renders a neutral drawing to SVG, in millimetres. A piece lights up with its row in every list. */
export const DrawingView = memo(function DrawingView({
  drawing,
  textScale = 0.024,
  label,
  onPick,
  cloths,
  frame = drawing,
}: DrawingViewProps) {
  const dispatch = useAppDispatch()
  const litPiece = useAppSelector(state => state.lit.piece)
  const arrow = useId()
  const looksIn = useClothLooks(cloths)
  const looks = useMemo(
    () =>
      drawing.marks.map(mark =>
        mark.kind === 'path' && looksIn
          ? looksIn(mark.piece, mark.fill, drawing.showsPrint && mark)
          : undefined,
      ),
    [drawing, looksIn],
  )
  const beds = useMemo(
    () => drawing.marks.map((mark, index) => (drawing.plainCloth ? undefined : bedOf(mark, looks[index]))),
    [drawing, looks],
  )
  const patterns = drawing.plainCloth ? [] : distinct(looks.filter((_, index) => !beds[index]))
  const isOnCloth = patterns.length > 0 || beds.some(Boolean)
  // A picture too small for words is too small for edges round its lines.
  const isCased =
    (isOnCloth || drawing.marks.some(isToned)) && drawing.marks.some(({ kind }) => kind === 'text')
  const textSize = letterOf(frame, textScale)
  return (
    <svg
      className={`drawing ${isOnCloth ? 'on-cloth' : ''} ${isCased ? 'cased' : ''}`}
      role="img"
      aria-label={label ?? drawing.title}
      viewBox={viewBoxOf(frame)}
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
        {patterns.map(look => (
          <ClothPattern key={look.key} id={patternId(arrow, look)} look={look} />
        ))}
      </defs>
      {drawing.marks.map((mark, index) => (
        <MarkView
          key={index}
          mark={mark}
          textSize={textSize}
          arrow={`url(#${arrow})`}
          bed={beds[index]}
          fill={beds[index] ? 'transparent' : fillWith(looks[index], arrow, drawing)}
          isCased={isCased}
          isLit={mark.kind === 'path' && mark.piece !== undefined && mark.piece === litPiece}
          onPoint={piece => dispatch(lit(piece))}
          onPick={onPick}
        />
      ))}
    </svg>
  )
})

/** Fills that are the same by day and by night, as what they stand for is. */
const toned: ReadonlySet<Fill> = new Set<Fill>([
  'outer',
  'lining',
  'padding',
  'interfacing',
  'board',
  'card',
  'pocket',
  'other',
])

function isToned(mark: Mark): boolean {
  return mark.kind === 'path' && toned.has(mark.fill)
}

function distinct(looks: readonly (ClothLook | undefined)[]): readonly ClothLook[] {
  return [...new Map(looks.flatMap(look => (look ? [[look.key, look] as const] : []))).values()]
}

function patternId(drawing: string, { key }: ClothLook): string {
  return `${drawing}-${key}`
}

function fillWith(look: ClothLook | undefined, id: string, { plainCloth }: Drawing): string | undefined {
  if (!look) return undefined
  return plainCloth ? look.colour : `url(#${patternId(id, look)})`
}

interface MarkViewProps {
  readonly mark: Mark
  readonly textSize: number
  readonly arrow: string
  /** Its cloth; undefined leaves it to its kind. */
  readonly fill: string | undefined
  /** The photograph that is seen through it. */
  readonly bed: Bed | undefined
  /** On cloth, or a tone, a line has one of the ground’s colour under it, so that it is seen on any. */
  readonly isCased: boolean
  readonly isLit: boolean
  readonly onPoint: (piece: string | null) => void
  readonly onPick: ((piece: string) => void) | undefined
}

function MarkView({ mark, textSize, arrow, fill, bed, isCased, isLit, onPoint, onPick }: MarkViewProps) {
  switch (mark.kind) {
    case 'line': {
      const [x1, y1] = mark.from.map(svgNumber)
      const [x2, y2] = mark.to.map(svgNumber)
      return (
        <>
          {isCased && mark.style !== 'measure' && <line className="casing" {...{ x1, y1, x2, y2 }} />}
          <line
            className={`mark mark-${mark.style}`}
            {...{ x1, y1, x2, y2 }}
            markerEnd={mark.arrow ? arrow : undefined}
            markerStart={mark.arrow === 'both' ? arrow : undefined}
          />
        </>
      )
    }
    case 'path': {
      const { piece } = mark
      const picks = piece !== undefined && onPick !== undefined
      const path = svgPath(mark)
      return (
        <>
          {isCased && mark.fill === 'none' && <path className="casing casing-fine" d={path} />}
          {bed && <PhotoBed {...bed} path={path} />}
          <path
            className={`mark mark-${mark.style} fill-${mark.fill} ${isLit ? 'lit' : ''} ${picks ? 'cursor-pointer' : ''}`}
            d={path}
            style={fill === undefined ? undefined : { fill }}
            data-shows={piece}
            onPointerEnter={piece === undefined ? undefined : () => onPoint(piece)}
            onClick={picks ? () => onPick(piece) : undefined}
          />
        </>
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
          {fractionParts(mark.text).map((part, index) =>
            part.fraction ? (
              <tspan key={index} className="fraction">
                {part.text}
              </tspan>
            ) : (
              part.text
            ),
          )}
        </text>
      )
    }
  }
}

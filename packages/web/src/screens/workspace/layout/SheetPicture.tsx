import {
  DndContext,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DndContextProps,
  type DragEndEvent,
  type UniqueIdentifier,
} from '@dnd-kit/core'
import {
  formatLength,
  mm,
  ofTicks,
  toMm,
  type CutStep,
  type Layout,
  type LeftOver,
  type Length,
  type Placement,
  type UsedSheet,
} from '@snowdrift/core'
import { Pin } from 'lucide-react'
import { useMemo, useRef, useState, type KeyboardEvent } from 'react'
import { useAppDispatch } from '../../../app/store'
import { lit } from '../../../app/lit-slice'
import { sheetLooks } from '../../../views/cloth/sheet-looks'
import { DrawingView } from '../../../views/DrawingView'
import { textScaleFor } from '../../../views/text-scale'
import { useIsNarrow } from '../../../views/use-media'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'
import { nameSheet } from './sheet-names'
import { usePinch } from './use-pinch'
import { closest, Zoom } from './Zoom'
import { drawSheetOf } from './sheet-of'
import { capital } from '../../../views/capital'

/** Where a piece was put: it stays there. */
export interface Move {
  readonly piece: string
  readonly cloth: string
  readonly sheet: number
  readonly x: Length
  readonly y: Length
  readonly turned: boolean
}

interface SheetPictureProps {
  readonly sheet: UsedSheet
  readonly job: GroupJob
  readonly layout: Layout
  readonly leftOvers: readonly LeftOver[]
  readonly pins: readonly string[]
  readonly cut: CutStep | undefined
  /** Whether the hand has hold of a piece. */
  readonly onHold: (isHeld: boolean) => void
  readonly onMove: (move: Move) => void
  readonly onLetGo: (piece: string) => void
}

/** No sheet is drawn taller than that. */
const tallestRem = 28

/** A piece dragged further than the cloth reaches goes on along an endless one. */
const furtherMm = 2000

/** One sheet to scale. A piece is dragged, or moved by the arrow keys, and then stays; the rest flows round it. */
export function SheetPicture(props: SheetPictureProps) {
  const { sheet, job, layout, leftOvers, pins, cut, onHold, onMove, onLetGo } = props
  const { unit, division } = useCover()
  const narrow = useIsNarrow()
  const [zoom, setZoom] = useState(1)
  const frame = useRef<HTMLDivElement>(null)
  usePinch({ frame, zoom, most: closest, onZoom: setZoom })
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 4 } }),
    // A swipe that begins on a piece scrolls the page; a piece that is held moves.
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
  )
  const { group } = job
  const placements = layout.placements.filter(on => on.cloth === sheet.cloth && on.sheet === sheet.sheet)
  const labels = useMemo(() => new Map(group.pieces.map(({ id, label }) => [id, label])), [group])
  const name = nameSheet(job, sheet, unit)
  const drawing = useMemo(
    () => drawSheetOf(sheet, { job, layout, leftOvers, unit, cut }),
    [sheet, job, layout, leftOvers, unit, cut],
  )
  const cloths = useMemo(() => sheetLooks(job.source.material), [job])
  const whole = job.request?.cloths.find(({ id }) => id === sheet.cloth)?.length
  const put = (placed: Placement, x: number, y: number, turned = placed.turned) => {
    const same = turned === placed.turned
    const [wide, high] = same ? [placed.width, placed.height] : [placed.height, placed.width]
    const mostY = whole === undefined ? sheet.length + mm(furtherMm) : whole - high
    onMove({
      piece: placed.piece,
      cloth: sheet.cloth,
      sheet: sheet.sheet,
      x: onMark(x, sheet.width - wide, division),
      y: onMark(y, mostY, division),
      turned,
    })
  }
  const onDragEnd = ({ active, delta }: DragEndEvent) => {
    onHold(false)
    const placed = placements.find(({ piece }) => piece === active.id)
    const pixels = frame.current?.clientWidth
    if (!placed || !pixels) return
    const scale = toMm(drawing.width) / pixels
    put(placed, placed.x + mm(delta.x * scale), placed.y + mm(delta.y * scale))
  }
  const onKeyDown = (event: KeyboardEvent, placed: Placement) => {
    const by = division * (event.shiftKey ? 8 : 1)
    const turn = group.pieces.find(({ id }) => id === placed.piece)?.turn
    const isPinned = pins.includes(placed.piece)
    if (event.key === 'ArrowRight') put(placed, placed.x + by, placed.y)
    else if (event.key === 'ArrowLeft') put(placed, placed.x - by, placed.y)
    else if (event.key === 'ArrowUp') put(placed, placed.x, placed.y - by)
    else if (event.key === 'ArrowDown') put(placed, placed.x, placed.y + by)
    else if (event.key === 'r' && turn === 'quarter') put(placed, placed.x, placed.y, !placed.turned)
    else if (event.key === 'Enter' || event.key === ' ') {
      if (isPinned) onLetGo(placed.piece)
      else put(placed, placed.x, placed.y)
    } else if (event.key === 'Delete' && isPinned) onLetGo(placed.piece)
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const [left, top] = drawing.from
  const share = (value: number, whole: number) => `${(100 * value) / whole}%`
  return (
    <figure className="grid gap-1" data-sheet={sheet.cloth}>
      <figcaption className="flex flex-wrap items-center justify-between gap-x-4 text-sm">
        <span>
          <span className="font-medium">{capital(name)}</span>
          <span className="text-soft">
            {' '}
            · {formatLength(sheet.length, unit, { style: 'proper', finest: 16 })} used
          </span>
        </span>
        <Zoom of={capital(name)} zoom={zoom} onZoom={setZoom} />
      </figcaption>
      <div className={zoom > 1 ? 'max-h-[75dvh] overflow-auto overscroll-contain border border-rule' : ''}>
        <DndContext
          sensors={sensors}
          accessibility={sayDragging(labels)}
          onDragStart={() => onHold(true)}
          onDragEnd={onDragEnd}
          onDragCancel={() => onHold(false)}
        >
          <div
            ref={frame}
            className="relative"
            style={{
              aspectRatio: `${drawing.width} / ${drawing.height}`,
              width: `calc(${zoom} * min(100%, ${tallestRem * (drawing.width / drawing.height)}rem))`,
            }}
          >
            <DrawingView
              drawing={drawing}
              textScale={textScaleFor(drawing, frameOf(narrow, zoom))}
              cloths={cloths}
            />
            {placements.map(placed => (
              <Handle
                key={placed.piece}
                placed={placed}
                label={labels.get(placed.piece) ?? placed.piece}
                isPinned={pins.includes(placed.piece)}
                where={`${formatLength(placed.x, unit)} across, ${formatLength(placed.y, unit)} along`}
                style={{
                  left: share(placed.x - left, drawing.width),
                  top: share(placed.y - top, drawing.height),
                  width: share(placed.width, drawing.width),
                  height: share(placed.height, drawing.height),
                }}
                onKeyDown={event => onKeyDown(event, placed)}
              />
            ))}
          </div>
        </DndContext>
      </div>
    </figure>
  )
}

/** What a screen reader hears while a piece is dragged: its name, not its id. */
function sayDragging(labels: ReadonlyMap<string, string>): NonNullable<DndContextProps['accessibility']> {
  const nameOf = ({ id }: { readonly id: UniqueIdentifier }) => labels.get(String(id)) ?? 'The piece'
  return {
    announcements: {
      onDragStart: ({ active }) => `${nameOf(active)} is picked up.`,
      onDragOver: () => undefined,
      onDragEnd: ({ active }) => `${nameOf(active)} is put down and stays there.`,
      onDragCancel: ({ active }) => `${nameOf(active)} lies where it lay.`,
    },
    screenReaderInstructions: {
      draggable: 'The arrow keys move the piece, Enter pins it, r turns it by a quarter.',
    },
  }
}

/** Letters of about thirteen pixels, however closely the cloth is looked at. */
function frameOf(narrow: boolean, zoom: number) {
  return { width: zoom * (narrow ? 350 : 900), height: zoom * 16 * tallestRem, letter: 15.5 }
}

interface HandleProps {
  readonly placed: Placement
  readonly label: string
  readonly where: string
  readonly isPinned: boolean
  readonly style: Readonly<Record<'left' | 'top' | 'width' | 'height', string>>
  readonly onKeyDown: (event: KeyboardEvent) => void
}

function Handle({ placed, label, where, isPinned, style, onKeyDown }: HandleProps) {
  const dispatch = useAppDispatch()
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: placed.piece })
  const shift = transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : {}
  return (
    <button
      type="button"
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      aria-roledescription="piece on the cloth"
      aria-pressed={isPinned}
      aria-label={`${label}, ${where}${placed.turned ? ', turned' : ''}${isPinned ? ', pinned' : ''}`}
      className={`absolute touch-manipulation cursor-grab active:cursor-grabbing ${
        isPinned ? 'border-2 border-thread' : 'border border-transparent hover:border-thread'
      } ${transform ? 'z-10 bg-thread-soft/70' : ''}`}
      style={{ ...style, ...shift }}
      data-handle={placed.piece}
      data-at={`${toMm(placed.x)} ${toMm(placed.y)}`}
      onKeyDown={onKeyDown}
      onPointerEnter={() => dispatch(lit(placed.piece))}
      onPointerLeave={() => dispatch(lit(null))}
      onFocus={() => dispatch(lit(placed.piece))}
      onBlur={() => dispatch(lit(null))}
    >
      {isPinned && <Pin className="absolute top-0.5 right-0.5 size-3.5 text-thread" aria-hidden />}
    </button>
  )
}

/** The nearest mark of the tape within the sheet. */
function onMark(place: number, most: number, division: Length): Length {
  const within = Math.max(0, Math.min(place, most))
  const marked = Math.round(within / division) * division
  return ofTicks(Math.max(0, marked > most ? Math.floor(most) : marked))
}

import {
  clashingPins,
  cornerToShow,
  cutOffOf,
  drawnToMarks,
  describePinClash,
  drawShowing,
  mm,
  ofTicks,
  overEdges,
  sayProperly,
  zero,
  type Cloth,
  type ClothMark,
  type LayoutRequest,
  type Length,
  type Placement,
  type PrintWindow,
  type Standing,
} from '@snowdrift/core'
import { useMemo, useRef, useState } from 'react'
import { Button } from '../../../parts/Button'
import { Fractions } from '../../../parts/Fractions'
import { Modal } from '../../../parts/Modal'
import { SelectField } from '../../../parts/SelectField'
import { capital } from '../../../views/capital'
import { sheetLooks } from '../../../views/cloth/sheet-looks'
import { DrawingView } from '../../../views/DrawingView'
import { textScaleFor } from '../../../views/text-scale'
import { useIsNarrow } from '../../../views/use-media'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'
import { PutMark } from './PutMark'
import { nameSheet, namesIn } from './sheet-names'
import type { Move } from './SheetPicture'
import { useSliding, type Spot } from './use-sliding'

interface ShowingProps {
  readonly job: GroupJob
  readonly request: LayoutRequest
  readonly placed: Placement
  readonly isPinned: boolean
  readonly onKeep: (move: Move) => void
  readonly onLetGo: () => void
  readonly onClose: () => void
}

/** A piece of cloth as far as pieces may lie on it. */
interface Ground {
  readonly cloth: string
  readonly sheet: number
  readonly width: Length
  readonly length: Length | undefined
}

const deskFrame = { width: 560, height: 480, letter: 14 }
const phoneFrame = { width: 340, height: 300, letter: 12 }

/** So far along cloth off the bolt one may look for a place. */
const furthestMm = 4000

/** What shows in a piece: the cloth slides beneath it, or a mark of the cloth is put into one of its windows. */
export function Showing({ job, request, placed, isPinned, onKeep, onLetGo, onClose }: ShowingProps) {
  const { unit, division } = useCover()
  const narrow = useIsNarrow()
  const piece = job.group.pieces.find(({ id }) => id === placed.piece)
  const grounds = useMemo(() => groundsOf(request, placed), [request, placed])
  const [chosen, setChosen] = useState(0)
  const [note, setNote] = useState('')
  const ground = grounds[chosen] ?? grounds[0]
  const length = ground?.length ?? mm(furthestMm)
  const size = piece ?? { width: zero, height: zero }
  const most = {
    x: ofTicks(Math.max(0, (ground?.width ?? zero) - size.width)),
    y: ofTicks(Math.max(0, length - size.height)),
  }
  const frame = useRef<HTMLDivElement>(null)
  const windows = job.windows.get(placed.piece) ?? []
  const marks = (ground && job.marks.get(ground.cloth)) ?? []
  const sliding = useSliding({
    from: placed.turned ? { x: zero, y: zero } : placed,
    most,
    division,
    frame,
    draw: spot => drawnToMarks(spot, windows, marks),
  })
  const { at } = sliding
  const cloths = useMemo(() => sheetLooks(job.source.material), [job])
  if (!piece || !ground) return null
  const avoid = request.cloths.find(({ id }) => id === ground.cloth)?.avoid ?? []
  const drawing = drawShowing({
    label: piece.label,
    piece,
    windows: windows.slice(0, -1),
    at: [at.x, at.y],
    cloth: { width: ground.width, length },
    avoid,
    marks,
  })
  const pin = { cloth: ground.cloth, sheet: ground.sheet, x: at.x, y: at.y, turned: false }
  const [clash] = clashingPins({
    ...request,
    pieces: request.pieces.map(entry => (entry.id === piece.id ? { ...entry, pin } : entry)),
  })
  const say = sayProperly(unit)
  const share = (value: number, whole: number) => `${(100 * value) / whole}%`
  const put = (mark: ClothMark, window: PrintWindow, standing: Standing) => {
    const corner = cornerToShow(window, mark, standing)
    sliding.put(corner)
    const over = overEdges(corner, piece, { width: ground.width, length: ground.length })
    const cut = cutOffOf(window, mark)
    setNote(
      [
        ...Object.entries(over).flatMap(([edge, by]) =>
          by > zero ? [`It lies as near as it goes: ${say(by)} are wanting ${beyond[edge as Edge]}.`] : [],
        ),
        ...(cut.width > zero || cut.height > zero
          ? [
              `${capital(mark.name)} is larger than ${window.name}: ${sayCutOff(cut, say)} of it does not show.`,
            ]
          : []),
      ].join(' '),
    )
  }
  const choose = (index: number) => {
    setChosen(index)
    setNote('')
    sliding.put({ x: zero, y: zero })
  }
  return (
    <Modal title={`What shows on ${piece.label}`} open wide onClose={onClose}>
      <div className="grid items-start gap-5 lg:grid-cols-[1fr_18rem]">
        <div className="grid gap-2">
          <div
            ref={frame}
            className="relative mx-auto w-full cursor-grab touch-none overflow-hidden select-none active:cursor-grabbing"
            style={{
              aspectRatio: `${drawing.width} / ${drawing.height}`,
              maxWidth: `${62 * (drawing.width / drawing.height)}dvh`,
            }}
            tabIndex={0}
            role="application"
            aria-label={`The cloth under ${piece.label}: drag it, or move it with the arrow keys`}
            aria-describedby="showing-where"
            data-showing
            {...sliding.on(drawing)}
          >
            <DrawingView
              drawing={drawing}
              textScale={textScaleFor(drawing, narrow ? phoneFrame : deskFrame)}
              cloths={cloths}
            />
            <div
              aria-hidden
              className="pointer-events-none absolute shadow-[0_0_0_100vmax_color-mix(in_srgb,var(--surface)_45%,transparent)]"
              style={{
                left: share(at.x - drawing.from[0], drawing.width),
                top: share(at.y - drawing.from[1], drawing.height),
                width: share(piece.width, drawing.width),
                height: share(piece.height, drawing.height),
              }}
            />
          </div>
          <p id="showing-where" role="status" className="text-center text-sm text-soft">
            <Fractions text={sayWhere(at, say)} />
          </p>
        </div>
        <div className="grid gap-4">
          {grounds.length > 1 && (
            <SelectField
              label="On which cloth"
              value={String(chosen)}
              choices={Object.fromEntries(
                grounds.map((entry, index) => [String(index), capital(nameSheet(job, entry, unit))]),
              )}
              onChange={index => choose(Number(index))}
            />
          )}
          {marks.length > 0 ? (
            <PutMark marks={marks} windows={windows} onPut={put} />
          ) : (
            <p className="text-sm text-soft">
              Nothing is marked on this cloth. Mark a motif, a border or a fold on its piece in the stash, and
              it can be put where it belongs. Where a print begins on cloth off the bolt only you can see: lay
              the first piece by eye, the others follow.
            </p>
          )}
          {note && (
            <p role="status" className="text-caution">
              <Fractions text={note} />
            </p>
          )}
          {clash && (
            <p role="alert" className="text-bad">
              {capital(describePinClash(clash, namesIn(job, unit)))}
            </p>
          )}
          <div className="flex flex-wrap gap-3">
            <Button
              look="act"
              disabled={clash !== undefined}
              onClick={() => {
                onKeep({ piece: piece.id, ...pin })
                onClose()
              }}
            >
              Keep it there
            </Button>
            {isPinned && (
              <Button
                onClick={() => {
                  onLetGo()
                  onClose()
                }}
              >
                Let the layout place it
              </Button>
            )}
          </div>
        </div>
      </div>
    </Modal>
  )
}

type Edge = keyof ReturnType<typeof overEdges>

const beyond: Readonly<Record<Edge, string>> = {
  left: 'at the left edge of the cloth',
  right: 'at its right edge',
  head: 'at its beginning',
  foot: 'at its end',
}

function sayCutOff({ width, height }: ReturnType<typeof cutOffOf>, say: (length: Length) => string): string {
  return [
    ...(width > zero ? [`${say(width)} of its width`] : []),
    ...(height > zero ? [`${say(height)} of its height`] : []),
  ].join(' and ')
}

function sayWhere({ x, y }: Spot, say: (length: Length) => string): string {
  const across = x === zero ? 'at the left edge' : `${say(x)} from the left`
  const along = y === zero ? 'at the beginning of the cloth' : `${say(y)} from its beginning`
  return `The piece lies ${across}, ${along}.`
}

/** Where the piece lies now comes first, then every other cloth that takes it. */
function groundsOf({ cloths, pieces }: LayoutRequest, placed: Placement): readonly Ground[] {
  const piece = pieces.find(({ id }) => id === placed.piece)
  const takes = ({ width, length }: Cloth) =>
    piece !== undefined && piece.width <= width && piece.height <= (length ?? Infinity)
  const all = cloths.filter(takes).map(({ id, width, length }) => ({
    cloth: id,
    sheet: id === placed.cloth ? placed.sheet : 1,
    width,
    length,
  }))
  return [
    ...all.filter(({ cloth }) => cloth === placed.cloth),
    ...all.filter(({ cloth }) => cloth !== placed.cloth),
  ]
}

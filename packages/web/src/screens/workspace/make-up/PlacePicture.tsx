import {
  DndContext,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core'
import {
  carry,
  formatLength,
  mm,
  svgNumber,
  toMm,
  type Carried,
  type Length,
  type PlacedExtra,
  type Unit,
} from '@snowdrift/core'
import type { KeyboardEvent } from 'react'
import { useCover } from '../cover-context'
import { carriedByKey } from '../picture/carried-by-key'

interface PlacePictureProps {
  readonly name: string
  readonly index: number
  /** `key` groups moves into one undo step. */
  readonly onPlace: (carried: Carried, key: string) => void
}

const wide = 230
const tall = 150

/**
 * The piece that carries an extra, to scale, with the extra on it: dragged, or moved by the arrow keys, it snaps to
 * edges and middles. Nothing is shown for what has no ground of its own.
 */
export function PlacePicture({ name, index, onPlace }: PlacePictureProps) {
  const { shown, unit, division } = useCover()
  const placed = shown.plan?.placed.find(entry => entry.extra === index)
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 3 } }))
  if (!placed) return null
  const pixels = Math.min(wide / toMm(placed.ground.width), tall / toMm(placed.ground.height))
  const onDragEnd = ({ delta }: DragEndEvent) => {
    const by = { right: mm(delta.x / pixels), up: mm(-delta.y / pixels) }
    onPlace(carry(placed, by, { by: 'hand', division, unit }), `place.${Date.now()}`)
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const by = carriedByKey(event, division)
    if (!by) return
    event.preventDefault()
    onPlace(carry(placed, by, { by: 'keys', division, unit }), 'place')
  }
  return (
    <DndContext sensors={sensors} onDragEnd={onDragEnd}>
      <figure className="grid gap-1">
        <Ground placed={placed} name={name} pixels={pixels} onKeyDown={onKeyDown} unit={unit} />
        <figcaption className="text-sm text-soft">
          On the {placed.ground.name}, seen from its right side. Drag it, or use the arrow keys; with shift it
          goes further.
        </figcaption>
      </figure>
    </DndContext>
  )
}

interface GroundProps {
  readonly placed: PlacedExtra
  readonly name: string
  readonly pixels: number
  readonly unit: Unit
  readonly onKeyDown: (event: KeyboardEvent) => void
}

function Ground({ placed, name, pixels, unit, onKeyDown }: GroundProps) {
  const { attributes, listeners, setNodeRef, transform } = useDraggable({ id: `extra-${placed.extra}` })
  const { ground } = placed
  const [width, height] = [toMm(ground.width) * pixels, toMm(ground.height) * pixels]
  const left = toMm(placed.x) * pixels + (transform?.x ?? 0)
  const top = height - toMm(placed.y) * pixels - toMm(placed.height) * pixels + (transform?.y ?? 0)
  const say = (length: Length) => formatLength(length, unit)
  return (
    <div
      className="relative touch-none border border-dashed border-strong-rule bg-(--cloth-inside)"
      style={{ width, height }}
      data-ground={ground.name}
    >
      <button
        type="button"
        ref={setNodeRef}
        {...attributes}
        {...listeners}
        onKeyDown={onKeyDown}
        aria-label={`Move ${name.toLowerCase()}: ${say(placed.x)} from the left, ${say(placed.y)} from below`}
        className="absolute cursor-grab border-2 border-thread bg-thread-soft/80 active:cursor-grabbing"
        style={{ left, top, width: toMm(placed.width) * pixels, height: toMm(placed.height) * pixels }}
        data-at={`${svgNumber(placed.x)} ${svgNumber(placed.y)}`}
      />
    </div>
  )
}

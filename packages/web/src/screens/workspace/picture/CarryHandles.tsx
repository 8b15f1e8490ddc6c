import { add, mm, scale, sayProperly, toMm, type Carry, type Length } from '@snowdrift/core'
import type { DrawingFrame } from '../../../views/DrawingView'
import { useCover } from '../cover-context'
import type { Opened } from './opened'
import { PictureLayer } from './PictureLayer'
import type { Told } from './told'
import { useCarrying } from './use-carrying'

interface CarryHandlesProps {
  readonly frame: DrawingFrame
  readonly carries: readonly Carry[]
  /** The places are those of a cover that has changed since. */
  readonly isStale: boolean
  readonly onOpen: (opened: Opened) => void
  readonly onTold: (told: Told | undefined) => void
}

/** What was added is taken hold of in its middle: it follows the hand, opens where it is pressed, and goes by the arrow keys. */
export function CarryHandles({ frame, carries, isStale, ...on }: CarryHandlesProps) {
  const { unit } = useCover()
  const { inHand, carrying } = useCarrying(on)
  const say = sayProperly(unit)
  const half = toMm(frame.height) / 40
  return (
    <PictureLayer
      frame={frame}
      label="What can be carried about in the picture"
      className={`pulls ${isStale && !inHand ? 'opacity-0' : ''}`}
    >
      {carries.map(carry => {
        const { placed, name } = carry
        const held = inHand?.carry.placed.extra === placed.extra ? inHand : undefined
        const [x, y] = middleOf(held?.carry ?? carry, held?.by)
        const cross = `M${x - half} ${y}H${x + half}M${x} ${y - half}V${y + half}`
        return (
          <g
            key={placed.extra}
            data-carry={placed.extra}
            className={`pull pointer-events-auto cursor-move touch-none ${held ? 'in-hand' : ''}`}
            role="button"
            tabIndex={0}
            aria-label={`Carry ${name.toLowerCase()}: ${saidPlace(carry, say)}`}
            {...carrying(carry)}
          >
            <title>{`${name}: carry it about`}</title>
            <path className="carry-room" d={cross} />
            <path className="pull-ground" d={cross} />
            <path className="pull-stroke" d={cross} />
          </g>
        )
      })}
    </PictureLayer>
  )
}

function middleOf(
  { at: [left, top], placed: { width, height } }: Carry,
  by: { readonly right: number; readonly up: number } = { right: 0, up: 0 },
): readonly [number, number] {
  const middle = (from: Length, size: Length, far: number) => toMm(add(from, scale(size, 1 / 2), mm(far)))
  return [middle(left, width, by.right), middle(top, height, -by.up)]
}

function saidPlace({ placed: { moves, x, y } }: Carry, say: (length: Length) => string): string {
  return moves.map(key => (key === 'x' ? `${say(x)} from the left` : `${say(y)} from below`)).join(', ')
}

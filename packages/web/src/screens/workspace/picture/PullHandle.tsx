import { sayProperly, svgNumber, toMm, type Pull } from '@snowdrift/core'
import type { SVGProps } from 'react'
import { useCover } from '../cover-context'
import { settingKey } from './setting-key'

interface PullHandleProps extends Pick<
  SVGProps<SVGGElement>,
  'onPointerDown' | 'onPointerMove' | 'onPointerUp' | 'onPointerCancel' | 'onKeyDown' | 'onBlur'
> {
  readonly pull: Pull
  /** Whether keys get to it, and a screen reader reads it. */
  readonly isReached: boolean
  readonly isInHand: boolean
  /** How far its edge is from where it was, in millimetres. */
  readonly by: number
  /** How long it is, in millimetres. */
  readonly long: number
}

/** A short stroke on an edge, in the colour of what can be done; the edge itself shows while it is pointed at. */
export function PullHandle({ pull, isReached, isInHand, by, long, ...on }: PullHandleProps) {
  const { unit } = useCover()
  const { held, axis, from, to, at } = pull
  const isUpright = axis === 'x'
  const [x, y] = [toMm(at[0]), toMm(at[1])]
  const isEdge = from[0] !== to[0] || from[1] !== to[1]
  const half = isEdge ? long / 2 : 0
  // The same wherever it stands: what moves with each key is its place alone.
  const stroke = isUpright ? { x1: 0, x2: 0, y1: -half, y2: half } : { x1: -half, x2: half, y1: 0, y2: 0 }
  return (
    <g
      transform={isUpright ? `translate(${by} 0)` : `translate(0 ${by})`}
      data-pull={settingKey(held)}
      className={`pull pointer-events-auto touch-none ${isUpright ? 'cursor-ew-resize' : 'cursor-ns-resize'} ${isInHand ? 'in-hand' : ''}`}
      {...(isReached ? spoken(pull, sayProperly(unit)) : { 'aria-hidden': true })}
      {...on}
    >
      <title>{held.label}</title>
      {isEdge && (
        <line
          className="pull-edge"
          x1={svgNumber(from[0])}
          y1={svgNumber(from[1])}
          x2={svgNumber(to[0])}
          y2={svgNumber(to[1])}
        />
      )}
      <g transform={`translate(${x} ${y})`}>
        <line className="pull-room" {...stroke} />
        <line className="pull-ground" {...stroke} />
        <line className="pull-stroke" {...stroke} />
      </g>
    </g>
  )
}

function spoken({ held }: Pull, say: (length: Pull['held']['value']) => string) {
  const tenths = (millimetres: number) => Math.round(millimetres * 10) / 10
  return {
    role: 'slider',
    tabIndex: 0,
    // not as its field is called: the two are different places
    'aria-label': `${held.label}, by its edge`,
    'aria-valuenow': tenths(toMm(held.value)),
    'aria-valuemin': tenths(toMm(held.range.min)),
    'aria-valuemax': tenths(toMm(held.range.max)),
    'aria-valuetext': say(held.value),
  }
}

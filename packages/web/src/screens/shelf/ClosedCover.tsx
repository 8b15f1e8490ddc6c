import { closedFront, mm, type ClosedFront } from '@snowdrift/core'
import { useId } from 'react'
import { ClothPattern } from '../../views/cloth/ClothPattern'
import type { ClothLook } from '../../views/cloth/look'
import type { Planned } from '../../views/planned'
import { onShelf } from './shelf-scale'

interface ClosedCoverProps {
  readonly planned: Planned
  readonly cloth: ClothLook | undefined
}

/**
 * The finished cover from the front, to scale: spine, stitching, zip, pocket, the end that wraps over. It stands a little
 * aslant, and turns its spine to whoever points at it (`app.css`).
 */
export function ClosedCover({ planned: { plan }, cloth }: ClosedCoverProps) {
  const pattern = useId()
  if (!plan) return <Unmeasured />
  const front = closedFront(plan.strip)
  const spine = onShelf(front.spineSeen)
  const [width, height] = [spine + onShelf(front.width), onShelf(front.height)]
  const radius = Math.max(2, onShelf(front.radius))
  const fill = cloth ? `url(#${pattern})` : 'var(--cloth)'
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      aria-hidden
      className="block overflow-visible"
    >
      {cloth && (
        <defs>
          <ClothPattern id={pattern} look={cloth} scale={onShelf(mm(1))} />
        </defs>
      )}
      {spine > 0 && <Spine front={front} height={height} fill={fill} />}
      <g className="turning-front" style={{ transformOrigin: `${spine}px 0` }}>
        <path
          d={outline({ left: spine, width, height, radius }, 0.5)}
          fill={fill}
          stroke="var(--ink)"
          strokeWidth={1}
        />
        <Stitching left={spine} width={width} height={height} radius={radius} />
        <Shapes front={front} left={spine} />
        <Zip front={front} left={spine} width={width} height={height} radius={radius} />
        {front.overlap > 0 && <Overlap width={width} height={height} reach={onShelf(front.overlap)} />}
        <Holes front={front} left={spine} />
        {front.bow === 'side' && <Bow x={width} y={height / 2} />}
        {front.bow === 'foot' && <Bow x={width / 2 + 14} y={height - 18} />}
      </g>
    </svg>
  )
}

interface SpineProps {
  readonly front: ClosedFront
  readonly height: number
  readonly fill: string
}

/** As wide as it is, and drawn as narrow as it is seen; darker, for the light comes from the front. */
function Spine({ front, height, fill }: SpineProps) {
  const [seen, whole] = [onShelf(front.spineSeen), onShelf(front.spine)]
  const box = { x: seen - whole, y: 0.5, width: whole, height: height - 1 }
  return (
    <g className="turning-spine" style={{ transformOrigin: `${seen}px 0` }}>
      <rect {...box} fill={fill} stroke="var(--ink)" strokeWidth={1} vectorEffect="non-scaling-stroke" />
      <rect {...box} fill="#000" opacity={0.22} />
    </g>
  )
}

interface Frame {
  readonly left: number
  readonly width: number
  readonly height: number
  readonly radius: number
}

/** Its edges, so much within them; where there is a spine only the corners away from it are rounded. */
function outline({ left, width, height, radius }: Frame, inset: number): string {
  const [far, near] = [Math.max(0, radius - inset), left > 0 ? 0 : Math.max(0, radius - inset)]
  const [from, to, foot] = [left + inset, width - inset, height - inset]
  return [
    `M${from + near} ${inset}H${to - far}a${far} ${far} 0 0 1 ${far} ${far}`,
    `V${foot - far}a${far} ${far} 0 0 1 ${-far} ${far}`,
    `H${from + near}a${near} ${near} 0 0 1 ${-near} ${-near}`,
    `V${inset + near}a${near} ${near} 0 0 1 ${near} ${-near}z`,
  ].join('')
}

function Stitching(frame: Frame) {
  return (
    <path
      d={outline(frame, 4)}
      fill="none"
      stroke="#fff"
      opacity={0.75}
      strokeWidth={1.2}
      strokeDasharray="4 3"
    />
  )
}

function Shapes({ front, left }: { readonly front: ClosedFront; readonly left: number }) {
  return front.shapes.map(({ piece, name, at, width, height }, index) => (
    <rect
      key={`${piece} ${name} ${index}`}
      x={left + onShelf(at[0])}
      y={onShelf(at[1])}
      width={onShelf(width)}
      height={onShelf(height)}
      fill="#fff"
      fillOpacity={0.28}
      stroke="#fff"
      strokeOpacity={0.8}
    />
  ))
}

function Holes({ front, left }: { readonly front: ClosedFront; readonly left: number }) {
  return front.holes.map(({ at, diameter }, index) => (
    <circle
      key={index}
      cx={left + onShelf(at[0])}
      cy={onShelf(at[1])}
      r={Math.max(1.5, onShelf(diameter) / 2)}
      fill="#fff"
      fillOpacity={0.7}
      stroke="var(--ink)"
    />
  ))
}

function Zip({ front, left, width, height, radius }: Frame & { readonly front: ClosedFront }) {
  if (front.zip === 'none') return null
  const path =
    front.zip === 'top'
      ? `M0 2H${width}`
      : `M${left} 2H${width - radius}a${radius} ${radius} 0 0 1 ${radius - 2} ${radius}V${height - radius}a${radius} ${radius} 0 0 1 ${2 - radius} ${radius - 2}H${left}`
  return <path d={path} fill="none" stroke="var(--ink)" strokeWidth={3} strokeDasharray="1.5 1.5" />
}

function Overlap({
  width,
  height,
  reach,
}: {
  readonly width: number
  readonly height: number
  readonly reach: number
}) {
  const round = Math.min(reach, 14)
  return (
    <path
      d={`M${width} 0H${width - reach + round}q${-round} 0 ${-round} ${round}V${height - round}q0 ${round} ${round} ${round}H${width}z`}
      fill="#000"
      fillOpacity={0.16}
      stroke="var(--ink)"
      strokeWidth={0.8}
    />
  )
}

function Bow({ x, y }: { readonly x: number; readonly y: number }) {
  return (
    <g fill="none" stroke="#f0a06c" strokeWidth={2.4}>
      <path
        d={`M${x} ${y}h-18m0 0c-8-9-14-5-12 0s8 5 12 0m0 0c8-9 14-5 12 0s-8 5-12 0m0 0l-7 15m7-15l6 15`}
      />
    </g>
  )
}

/** Nobody knows its size yet, and the picture says so. */
function Unmeasured() {
  return (
    <svg width={84} height={124} viewBox="0 0 84 124" aria-hidden className="block">
      <rect
        x={1}
        y={1}
        width={82}
        height={122}
        rx={2}
        fill="none"
        stroke="var(--strong-rule)"
        strokeDasharray="4 4"
      />
      <text x={42} y={66} textAnchor="middle" fill="var(--soft)" fontSize={14}>
        ?
      </text>
    </svg>
  )
}

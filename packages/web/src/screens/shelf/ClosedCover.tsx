import type { Panel } from '@snowdrift/core'
import type { Planned } from '../../views/planned'
import { onShelf } from './shelf-scale'

interface ClosedCoverProps {
  readonly planned: Planned
  readonly colour: string | undefined
  readonly tied: boolean
}

/** The finished cover from the front: its spine at the left, a line of stitching inside its edges. */
export function ClosedCover({ planned: { plan }, colour = 'var(--cloth)', tied }: ClosedCoverProps) {
  if (!plan) return <Unmeasured />
  const { panels, height: tall } = plan.strip
  const spine = widthOf(panels, 'spine') * 0.22
  const front = widthOf(panels, 'board') || widthOf(panels, 'body') / 2
  const [width, height] = [spine + front, onShelf(tall)]
  const inset = 4
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden className="block">
      <rect
        x={0.5}
        y={0.5}
        width={width - 1}
        height={height - 1}
        rx={2}
        fill={colour}
        stroke="var(--ink)"
        strokeWidth={1}
      />
      <rect x={0.5} y={0.5} width={spine} height={height - 1} rx={2} fill="#000" opacity={0.22} />
      <rect
        x={spine + inset}
        y={inset}
        width={Math.max(0, front - 2 * inset)}
        height={Math.max(0, height - 2 * inset)}
        fill="none"
        stroke="#fff"
        opacity={0.75}
        strokeWidth={1.2}
        strokeDasharray="4 3"
      />
      {tied && <Bow x={width} y={height / 2} />}
    </svg>
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

function widthOf(panels: readonly Panel[], kind: Panel['kind']): number {
  const panel = panels.find(candidate => candidate.kind === kind)
  return panel ? onShelf(panel.width) : 0
}

import type { Length, Unit } from '@snowdrift/core'
import { stretchOf, tapeSize } from './tape-stretch'

interface TapeProps {
  readonly reading: Length
  readonly unit: Unit
  readonly division: Length
}

const { width, height, digits } = tapeSize

/** A short stretch of tape with the reading on it, so that a misread mark is seen. */
export function Tape({ reading, unit, division }: TapeProps) {
  const { marks, numbers } = stretchOf(reading, unit, division)
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="h-11 w-64 max-w-full rounded-sm border border-rule bg-surface"
      aria-hidden
    >
      {/* One path, not a line each: the page lays out and paints so much the less while a reading is typed. */}
      <path d={marks.map(({ x, high }) => `M${x} 0V${high}`).join('')} stroke="var(--soft)" strokeWidth={1} />
      <line x1={width / 2} x2={width / 2} y1={0} y2={height} stroke="var(--thread)" strokeWidth={2} />
      {numbers.map(({ x, words }) => (
        <text key={words} x={x} y={38} fontSize={digits} className="tape-number">
          {words}
        </text>
      ))}
    </svg>
  )
}

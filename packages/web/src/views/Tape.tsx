import { formatLength, oneOf, scale, type Length, type Unit } from '@snowdrift/core'

interface TapeProps {
  readonly reading: Length
  readonly unit: Unit
  readonly division: Length
}

const shownMarks = 16
const width = 256
const height = 44

/** A short stretch of tape with the reading on it, so that a misread mark is seen. */
export function Tape({ reading, unit, division }: TapeProps) {
  const middle = Math.round(reading / division)
  const marks = Array.from({ length: 2 * shownMarks + 1 }, (_, index) => middle - shownMarks + index).filter(
    mark => mark >= 0,
  )
  const x = (mark: number) => width / 2 + ((mark - reading / division) * width) / (2 * shownMarks)
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="h-11 w-64 max-w-full rounded-sm border border-rule bg-surface"
      aria-hidden
    >
      {/* One path, not a line each: the page lays out and paints so much the less while a reading is typed. */}
      <path
        d={marks.map(mark => `M${x(mark)} 0V${markHeight(scale(division, mark), unit)}`).join('')}
        stroke="var(--soft)"
        strokeWidth={1}
      />
      {marks
        .filter(mark => isWhole(scale(division, mark), unit))
        .map(mark => (
          <text key={mark} x={x(mark) + 3} y={38} fontSize={13} fill="var(--ink)">
            {formatLength(scale(division, mark), unit, { bare: true })}
          </text>
        ))}
      <line x1={width / 2} x2={width / 2} y1={0} y2={height} stroke="var(--thread)" strokeWidth={2} />
    </svg>
  )
}

/** Where a tape has its numbers: at inches, at centimetres. */
const wholeOf = (unit: Unit) => oneOf(unit === 'mm' ? 'cm' : unit)

function isWhole(at: Length, unit: Unit): boolean {
  return at % wholeOf(unit) === 0
}

/** Whole units tall, halves less, and so on down, as on a real tape. */
function markHeight(at: Length, unit: Unit): number {
  const steps = unit === 'in' ? [1, 2, 4, 8] : [1, 2]
  const level = steps.findIndex(part => at % scale(wholeOf(unit), 1 / part) === 0)
  return level < 0 ? 9 : 26 - level * 4.5
}

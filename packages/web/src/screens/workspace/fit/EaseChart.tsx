import { formatLength, mm, type DirectionOdds, type Unit, type Verdict } from '@snowdrift/core'
import { memo, type CSSProperties, type ReactNode } from 'react'
import { Fractions } from '../../../parts/Fractions'
import { verdictWords } from '../../../views/verdict-words'
import { easeAxis, easeBars, namedBounds } from './ease-bars'

const colours: Readonly<Record<Verdict, string>> = {
  'will-not-go': 'var(--bad)',
  'tight-but-goes': 'var(--caution)',
  'drum-tight': 'var(--caution)',
  snug: 'var(--good)',
  easy: 'var(--good)',
  roomy: 'var(--strong-rule)',
  baggy: 'var(--caution)',
}

interface EaseChartProps {
  readonly odds: DirectionOdds
  readonly makes: number
  readonly unit: Unit
}

/**
 * Columns of the ease over all makes; the table beneath says the same in words. Drawn anew at every change, so by hand:
 * a chart that weighs its words before it places them keeps the page from answering for a tenth of a second.
 */
export const EaseChart = memo(function EaseChart({ odds, makes, unit }: EaseChartProps) {
  const { bars, stepMm } = easeBars(odds, makes)
  const { min, max, tickAmount } = easeAxis(bars, stepMm, unit)
  const highest = Math.max(...bars.map(({ ofHundred }) => ofHundred))
  const bounds = namedBounds(bars)
  const across = (atMm: number) => `${((atMm - min) / (max - min)) * 100}%`
  const ticks = Array.from({ length: tickAmount + 1 }, (_, tick) => min + ((max - min) * tick) / tickAmount)
  return (
    <div className="relative mx-4 h-full text-xs text-soft contain-layout">
      <svg
        className="absolute inset-x-0 top-5 h-26 w-full overflow-visible"
        viewBox={`${min} 0 ${max - min} ${highest}`}
        preserveAspectRatio="none"
      >
        {bars.map(({ fromMm, ofHundred, verdict }) => (
          <rect
            key={fromMm}
            x={fromMm + stepMm * 0.04}
            y={highest - ofHundred}
            width={stepMm * 0.92}
            height={ofHundred}
            style={{ fill: colours[verdict] }}
          />
        ))}
        {bounds.map(({ atMm }) => (
          <line key={atMm} className="chart-bound" x1={atMm} x2={atMm} y1={0} y2={highest} />
        ))}
        <line className="chart-axis" x1={min} x2={max} y1={highest} y2={highest} />
      </svg>
      {bounds.map(({ atMm, name }) =>
        name ? (
          <At key={atMm} left={across(atMm)} className="top-0 pl-1">
            {verdictWords[name]}
          </At>
        ) : null,
      )}
      {ticks.map(atMm => (
        <At key={atMm} left={across(atMm)} className="bottom-6 -translate-x-1/2">
          <Fractions text={formatLength(mm(atMm), unit, { style: 'proper', finest: 16, bare: true })} />
        </At>
      ))}
      <p className="absolute inset-x-0 bottom-0 text-center">ease ({unit})</p>
    </div>
  )
})

interface AtProps {
  readonly left: CSSProperties['left']
  readonly className: string
  readonly children: ReactNode
}

function At({ left, className, children }: AtProps) {
  return (
    <span className={`absolute whitespace-nowrap ${className}`} style={{ left }}>
      {children}
    </span>
  )
}

import { toMm, type DirectionOdds, type Unit } from '@snowdrift/core'
import { lazy, Suspense } from 'react'
import { Length } from '../../../parts/Length'
import { percent } from '../../../views/chance-words'
import { verdictTone, verdictWords } from '../../../views/verdict-words'

const EaseChart = lazy(() => import('./EaseChart'))

interface EaseChartsProps {
  readonly directions: readonly DirectionOdds[]
  readonly makes: number
  readonly unit: Unit
}

/** How the ease comes out over all makes, by direction, with the bands of the verdicts; a table says the same. */
export function EaseCharts({ directions, makes, unit }: EaseChartsProps) {
  return (
    <section className="grid gap-6" aria-label="How the ease comes out">
      <h3 className="text-lg font-semibold">How the ease comes out</h3>
      {directions.map(odds => (
        <figure key={odds.direction} className="grid gap-1">
          <figcaption>
            <span className="font-medium">{odds.direction === 'width' ? 'Round it' : 'In height'}</span>
            <span className="text-soft">
              {' '}
              planned <Length value={odds.fit.ease} unit={unit} />, two of three makes within ±
              {Math.round(odds.spreadMm * 10) / 10} mm
            </span>
          </figcaption>
          <div className="h-44" aria-hidden data-chart={odds.direction}>
            <Suspense fallback={null}>
              <EaseChart odds={odds} makes={makes} />
            </Suspense>
          </div>
          <Verdicts odds={odds} />
        </figure>
      ))}
    </section>
  )
}

function Verdicts({ odds: { direction, verdicts, fit } }: { readonly odds: DirectionOdds }) {
  const { snug, easy, roomy, top } = fit.bands
  const spans = {
    'will-not-go': 'too small, more than the cloth gives',
    'tight-but-goes': 'below 0 mm, and the cloth gives it',
    'drum-tight': `0–${toMm(snug)} mm`,
    snug: `${toMm(snug)}–${toMm(easy)} mm`,
    easy: `${toMm(easy)}–${toMm(roomy)} mm`,
    roomy: `${toMm(roomy)}–${toMm(top)} mm`,
    baggy: `above ${toMm(top)} mm`,
  } as const
  const shown = (Object.keys(spans) as (keyof typeof spans)[]).filter(verdict => verdicts[verdict])
  return (
    <table className="w-full text-sm">
      <caption className="sr-only">
        Verdicts on the ease {direction === 'width' ? 'round it' : 'in height'}
      </caption>
      <tbody>
        {shown.map(verdict => (
          <tr key={verdict} className="border-t border-rule">
            <th
              scope="row"
              className={`py-1 pr-3 text-left font-medium whitespace-nowrap ${verdictTone[verdict]}`}
            >
              {verdictWords[verdict]}
            </th>
            <td className="text-soft">{spans[verdict]}</td>
            <td className="pl-3 text-right whitespace-nowrap">{percent(verdicts[verdict] ?? 0)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

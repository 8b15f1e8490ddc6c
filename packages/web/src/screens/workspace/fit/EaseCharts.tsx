import { formatLength, mm, type DirectionOdds, type Length as CoreLength, type Unit } from '@snowdrift/core'
import { Fractions } from '../../../parts/Fractions'
import { Length } from '../../../parts/Length'
import { saySpread } from '../../../views/ease-words'
import { percent } from '../../../views/chance-words'
import { verdictTone, verdictWords } from '../../../views/verdict-words'
import { EaseChart } from './EaseChart'

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
              as cut <Length value={odds.fit.ease} unit={unit} />, two of three makes within ±{' '}
              <Fractions text={saySpread(mm(odds.spreadMm), unit)} />
            </span>
          </figcaption>
          <div className="h-44" aria-hidden data-chart={odds.direction}>
            <EaseChart odds={odds} makes={makes} unit={unit} />
          </div>
          <Verdicts odds={odds} unit={unit} />
        </figure>
      ))}
    </section>
  )
}

interface VerdictsProps {
  readonly odds: DirectionOdds
  readonly unit: Unit
}

function Verdicts({ odds: { direction, verdicts, fit }, unit }: VerdictsProps) {
  const { snug, easy, roomy, top } = fit.bands
  const say = (length: CoreLength, bare = false) =>
    formatLength(length, unit, { style: 'proper', finest: 32, bare })
  const spans = {
    'will-not-go': 'too small, more than the cloth gives',
    'tight-but-goes': 'below nothing, and the cloth gives it',
    'drum-tight': `up to ${say(snug)}`,
    snug: `${say(snug, true)} to ${say(easy)}`,
    easy: `${say(easy, true)} to ${say(roomy)}`,
    roomy: `${say(roomy, true)} to ${say(top)}`,
    baggy: `above ${say(top)}`,
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
            <td className="text-soft">
              <Fractions text={spans[verdict]} />
            </td>
            <td className="pl-3 text-right whitespace-nowrap">{percent(verdicts[verdict] ?? 0)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}

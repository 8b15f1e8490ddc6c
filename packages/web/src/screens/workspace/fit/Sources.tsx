import { isWorthwhile, sayProperly, type Remedy, type Simulation, type Unit } from '@snowdrift/core'
import { Fractions } from '../../../parts/Fractions'
import { percent, sayRemedy, sourceWords } from '../../../views/chance-words'

interface SourcesProps {
  readonly simulation: Simulation
  readonly remedies: readonly Remedy[] | undefined
  readonly unit: Unit
}

/** What the spread comes from, by direction, and what would make the chance better, tried on the same makes. */
export function Sources({ simulation, remedies, unit }: SourcesProps) {
  return (
    <section className="grid gap-4" aria-label="What it hangs on">
      <h3 className="text-lg font-semibold">What it hangs on</h3>
      <div className="grid gap-6 sm:grid-cols-2">
        {simulation.directions.map(({ direction, sources }) => (
          <table key={direction} className="w-full self-start text-sm" data-sources={direction}>
            <caption className="text-left font-medium">
              {direction === 'width' ? 'Round it' : 'In height'}
            </caption>
            <tbody>
              {sources.map(({ name, share }) => (
                <tr key={name}>
                  <th scope="row" className="py-1 text-left font-normal">
                    {sourceWords[name]}
                    <svg
                      className="mt-0.5 block h-1.5 w-full"
                      viewBox="0 0 100 6"
                      preserveAspectRatio="none"
                      aria-hidden
                    >
                      <rect width={100} height={6} className="fill-(--sunken)" />
                      <rect width={share * 100} height={6} className="fill-(--strong-rule)" />
                    </svg>
                  </th>
                  <td className="w-14 text-right align-bottom">{percent(share)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ))}
      </div>
      {remedies && <Remedies remedies={remedies} unit={unit} />}
    </section>
  )
}

const mostShown = 4

function Remedies({ remedies, unit }: { readonly remedies: readonly Remedy[]; readonly unit: Unit }) {
  const worthwhile = remedies.filter(isWorthwhile).slice(0, mostShown)
  if (worthwhile.length === 0)
    return (
      <p className="text-soft">
        Working more carefully than usual would gain less than half a make in a hundred.
      </p>
    )
  const say = sayProperly(unit)
  return (
    <div>
      <h4 className="font-medium">What would help most</h4>
      <ul className="divide-y divide-rule border-y border-rule" data-remedies>
        {worthwhile.map(({ kind, before, after }) => (
          <li key={sayRemedy(kind, say)} className="flex flex-wrap justify-between gap-x-4 py-2">
            <span>
              <Fractions text={sayRemedy(kind, say)} />
            </span>
            <span className="whitespace-nowrap">
              {percent(before)} → <strong>{percent(after)}</strong>
            </span>
          </li>
        ))}
      </ul>
    </div>
  )
}

import type { Fit, Unit } from '@snowdrift/core'
import { Length } from '../../../parts/Length'
import { verdictTone, verdictWords } from '../../../views/verdict-words'

/** What is needed, what comes out, and the ease between them. */
export function FitTable({ fits, unit }: { readonly fits: readonly Fit[]; readonly unit: Unit }) {
  if (fits.length === 0) return null
  return (
    <section>
      <h3 className="mb-2 text-lg font-semibold">How it fits</h3>
      <table className="w-full text-left">
        <thead className="text-sm text-soft">
          <tr>
            <th scope="col" className="font-normal">
              Direction
            </th>
            <th scope="col" className="font-normal">
              Needed
            </th>
            <th scope="col" className="font-normal">
              Finished
            </th>
            <th scope="col" className="font-normal">
              Ease as cut
            </th>
            <th scope="col" className="font-normal">
              Verdict
            </th>
          </tr>
        </thead>
        <tbody>
          {fits.map(({ direction, needed, finished, ease, verdict }) => (
            <tr key={direction} className="border-t border-rule">
              <th scope="row" className="py-1.5 font-medium">
                {direction}
              </th>
              <td>
                <Length value={needed} unit={unit} />
              </td>
              <td>
                <Length value={finished} unit={unit} />
              </td>
              <td>
                <Length value={ease} unit={unit} />
              </td>
              <td className={verdictTone[verdict]}>{verdictWords[verdict]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

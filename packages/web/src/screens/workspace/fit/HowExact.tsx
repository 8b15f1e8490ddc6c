import { isCareWasted, mm, sayExactness, type Exactness, type Handwork, type Unit } from '@snowdrift/core'
import { Length } from '../../../parts/Length'

/** How exact each cut, seam and fold must be, in a maker’s words beside the number; and where care is wasted. */
export function HowExact({
  exactness,
  unit,
}: {
  readonly exactness: readonly Exactness[]
  readonly unit: Unit
}) {
  if (exactness.length === 0) return null
  return (
    <section aria-label="How exact it must be" data-exactness>
      <h3 className="text-lg font-semibold">How exact must it be?</h3>
      <p className="text-sm text-soft">The error of it alone that costs one make in a hundred.</p>
      <table className="mt-2 w-full text-sm">
        <thead className="text-left text-soft">
          <tr>
            <th scope="col" className="font-normal">
              Handwork
            </th>
            <th scope="col" className="font-normal">
              Too small by
            </th>
            <th scope="col" className="font-normal">
              Too large by
            </th>
          </tr>
        </thead>
        <tbody>
          {exactness.map(({ direction, handwork, smallerMm, largerMm }) => (
            <tr key={direction + handwork} className="border-t border-rule align-top">
              <th scope="row" className="py-1.5 pr-3 text-left font-normal">
                {handworkWords[handwork][direction]}
                {isCareWasted(smallerMm) && isCareWasted(largerMm) && (
                  <span className="block text-soft">More care than a glance is wasted here.</span>
                )}
              </th>
              <Tolerated errorMm={smallerMm} unit={unit} />
              <Tolerated errorMm={largerMm} unit={unit} />
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

function Tolerated({ errorMm, unit }: { readonly errorMm: number | undefined; readonly unit: Unit }) {
  return (
    <td className="py-1.5 pr-3">
      {sayExactness(errorMm, unit)}
      {errorMm !== undefined && (
        <span className="block text-soft">
          <Length value={mm(errorMm)} unit={unit} finest={32} />
        </span>
      )}
    </td>
  )
}

const handworkWords: Readonly<Record<Handwork, { readonly width: string; readonly height: string }>> = {
  cut: { width: 'Cut to width', height: 'Cut to height' },
  seam: { width: 'Seams at the sides', height: 'Seams at top and bottom' },
  fold: { width: 'Folds set on the thing', height: 'Folds across' },
}

import { namePiece, type Plan, type Unit } from '@snowdrift/core'
import { Length } from '../../parts/Length'

/** What is not cut from cloth. */
export function NotionList({ plan, unit }: { readonly plan: Plan; readonly unit: Unit }) {
  if (plan.notions.length === 0) return null
  return (
    <section className="keep-together mt-6">
      <h2 className="text-lg font-semibold">Notions</h2>
      <ul>
        {plan.notions.map(({ id, count, length, width, grams }) => (
          <li key={id}>
            ☐ {count} × {namePiece(id)}
            {grams !== undefined && `, ${grams} g a coat`}
            {length && (
              <>
                , <Length value={length.cut} unit={unit} /> each
              </>
            )}
            {width !== undefined && (
              <>
                , <Length value={width} unit={unit} finest={16} /> wide
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}

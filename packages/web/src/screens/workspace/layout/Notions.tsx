import { needNotions, weighNotions, type Unit } from '@snowdrift/core'
import { useMaterialsQuery, useStashPiecesQuery } from '../../../api/api'
import { Length } from '../../../parts/Length'
import { useCover } from '../cover-context'
import { stockOf } from './notion-stock'

/** Whether there is enough cord, whether a zip is long enough, and so on. */
export function Notions({ coverIds }: { readonly coverIds: readonly string[] }) {
  const { planned, unit } = useCover()
  const { data: materials = [] } = useMaterialsQuery()
  const { data: pieces = [] } = useStashPiecesQuery()
  const needs = needNotions(planned.plan?.notions ?? [])
  if (needs.length === 0) return null
  return (
    <div>
      <h4 className="font-medium">Notions{coverIds.length > 1 && ' of this cover'}</h4>
      <ul className="mt-1 grid gap-0.5">
        {needs.map(need => {
          const balance = weighNotions(need, stockOf(need.kind, materials, pieces))
          return (
            <li key={need.kind} data-notion={need.kind} data-enough={balance.enough}>
              {need.count} × {need.kind.replaceAll('-', ' ')}:{' '}
              {balance.enough ? 'in the stash' : <Missing balance={balance} unit={unit} />}
            </li>
          )
        })}
      </ul>
    </div>
  )
}

interface MissingProps {
  readonly balance: ReturnType<typeof weighNotions>
  readonly unit: Unit
}

/** “buy 1 of 26 in”, “buy 2, together 52 in”. */
function Missing({ balance: { missingCount, missingLength }, unit }: MissingProps) {
  return (
    <span className="font-medium">
      buy {missingCount}
      {missingLength > 0 && (
        <>
          {missingCount === 1 ? ' of ' : ', together '}
          <Length value={missingLength} unit={unit} finest={16} />
        </>
      )}
    </span>
  )
}

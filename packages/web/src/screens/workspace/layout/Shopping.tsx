import type { CuttingBody, Layout } from '@snowdrift/core'
import { Store } from 'lucide-react'
import { Button } from '../../../parts/Button'
import { Length } from '../../../parts/Length'
import { usePay } from '../../../views/use-pay'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'
import { Notions } from './Notions'
import { Sheets } from './Sheets'
import { listWanted, nameToBuy, totalOf, type Wanted } from './shopping-list'
import { useShop } from './use-shop'
import { Ways } from './Ways'

interface ShoppingProps {
  readonly groups: readonly GroupJob[]
  readonly layouts: Readonly<Record<string, Layout>>
  readonly plan: CuttingBody
}

/** What is still to be bought, in the shop's steps and before washing; what the shop has of it; which notions there are. */
export function Shopping({ groups, layouts, plan }: ShoppingProps) {
  const { unit } = useCover()
  const shop = useShop()
  const pay = usePay()
  const wanted = listWanted(groups, layouts, { done: plan.done, unit })
  const ask = () =>
    void shop.ask(wanted.map(({ job: { group }, request }) => ({ key: group.key, group, request, unit })))
  return (
    <section className="grid gap-3 border-t border-rule pt-5" aria-label="To buy">
      <div className="flex flex-wrap items-center gap-3">
        <h3 className="text-lg font-semibold">To buy</h3>
        <span className="flex-1" />
        {wanted.length > 0 && (
          <Button disabled={shop.state === 'asking'} onClick={ask}>
            <Store className="size-4" aria-hidden />{' '}
            {shop.state === 'asking' ? 'The shop is looking …' : 'Ask the shop'}
          </Button>
        )}
      </div>
      {shop.problem && (
        <p role="alert" className="border-l-3 border-caution pl-3">
          {shop.problem}
        </p>
      )}
      {wanted.length === 0 && <p className="text-soft">No cloth: the stash has it all.</p>}
      <ul className="divide-y divide-rule border-rule not-empty:border-y">
        {wanted.map(one => (
          <li key={one.job.group.key} className="grid gap-1 py-2.5" data-buy={one.job.group.key}>
            <Line wanted={one} pay={pay} />
            <Ways ways={shop.purchases[one.job.group.key]} unit={unit} pay={pay} />
          </li>
        ))}
      </ul>
      <Total wanted={wanted} pay={pay} />
      <Notions coverIds={plan.coverIds} />
    </section>
  )
}

interface LineProps {
  readonly wanted: Wanted
  readonly pay: (amount: number) => string
}

function Line({ wanted: { job, toBuy, cost }, pay }: LineProps) {
  const { unit } = useCover()
  const { group } = job
  return (
    <p>
      <span className="font-medium">{nameToBuy(job)}</span>:{' '}
      {toBuy.kind === 'sheets' ? (
        <Sheets toBuy={toBuy} unit={unit} />
      ) : (
        <>
          <Length value={toBuy.length} unit={unit} />
          <span className="text-sm text-soft">
            {' '}
            (needs <Length value={toBuy.needed} unit={unit} finest={16} />
            {!group.washed && group.shrinkage > 0 && `, shrinks ${group.shrinkage} %`})
          </span>
        </>
      )}
      {cost !== undefined && <span data-cost>, {pay(cost)}</span>}
    </p>
  )
}

/** What it comes to by the prices that the stash knows. */
function Total({ wanted, pay }: { readonly wanted: readonly Wanted[]; readonly pay: LineProps['pay'] }) {
  const total = totalOf(wanted)
  if (!total) return null
  const { sum, open } = total
  return (
    <p className="font-medium" data-total>
      Together {pay(sum)}
      {open > 0 && (
        <span className="font-normal text-soft">
          , and {open === 1 ? 'one thing' : `${open} things`} without a price in the stash
        </span>
      )}
    </p>
  )
}

import {
  boughtCloth,
  costOf,
  findToBuy,
  type CuttingBody,
  type Layout,
  type LayoutRequest,
  type ToBuy,
} from '@snowdrift/core'
import { Store } from 'lucide-react'
import { Button } from '../../../parts/Button'
import { Length } from '../../../parts/Length'
import { usePay } from '../../../views/use-pay'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'
import { nameGroup } from './name-group'
import { Notions } from './Notions'
import { Sheets } from './Sheets'
import { useShop } from './use-shop'
import { Ways } from './Ways'

interface ShoppingProps {
  readonly groups: readonly GroupJob[]
  readonly layouts: Readonly<Record<string, Layout>>
  readonly plan: CuttingBody
}

interface Wanted {
  readonly job: GroupJob
  readonly toBuy: ToBuy
  readonly request: LayoutRequest
  /** By the price that the stash knows of it. */
  readonly cost: number | undefined
}

/** What is still to be bought, in the shop's steps and before washing; what the shop has of it; which notions there are. */
export function Shopping({ groups, layouts, plan }: ShoppingProps) {
  const { unit } = useCover()
  const shop = useShop()
  const pay = usePay()
  const wanted = groups.flatMap((job): readonly Wanted[] => {
    const layout = layouts[job.group.key]
    const toBuy = layout && job.request && findToBuy(job.group, job.request, layout, unit)
    const request = restToBuy(job, layout)
    if (!toBuy || !request || plan.done.includes(job.group.key)) return []
    return [{ job, toBuy, request, cost: knownCost(job, toBuy) }]
  })
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

/** A remnant or a garment is nothing that a shop has more of: what is bought is like it. */
function nameToBuy({ group, source: { material, offered } }: GroupJob): string {
  if (!material) return nameGroup(group)
  const { name } = material.material
  const found = offered.some(({ source }) => source === 'yardage' || source === 'sheet')
  const isOnce = offered.length > 0 && !found && material.stock.price === undefined
  return isOnce ? `Cloth like ${name}` : name
}

function knownCost({ source: { material } }: GroupJob, toBuy: ToBuy): number | undefined {
  const price = material?.stock.price
  return price === undefined ? undefined : costOf(toBuy, price, material?.unit ?? 'in')
}

/** What it comes to by the prices that the stash knows. */
function Total({ wanted, pay }: { readonly wanted: readonly Wanted[]; readonly pay: LineProps['pay'] }) {
  const known = wanted.flatMap(({ cost }) => (cost === undefined ? [] : [cost]))
  if (known.length === 0) return null
  const open = wanted.length - known.length
  return (
    <p className="font-medium" data-total>
      Together {pay(known.reduce((sum, cost) => sum + cost, 0))}
      {open > 0 && (
        <span className="font-normal text-soft">
          , and {open === 1 ? 'one thing' : `${open} things`} without a price in the stash
        </span>
      )}
    </p>
  )
}

/** The pieces that lie on cloth to buy, and nothing else. */
function restToBuy({ request }: GroupJob, layout: Layout | undefined): LayoutRequest | undefined {
  if (!request || !layout) return undefined
  const onBought = new Set(
    layout.placements.filter(({ cloth }) => cloth === boughtCloth).map(({ piece }) => piece),
  )
  const pieces = request.pieces.filter(({ id }) => onBought.has(id))
  return pieces.length > 0 ? { ...request, pieces } : undefined
}

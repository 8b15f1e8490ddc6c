import {
  boughtCloth,
  kindOfNotion,
  lengthToBuy,
  needNotions,
  readLength,
  mm,
  weighNotions,
  type CuttingBody,
  type Layout,
  type LayoutRequest,
  type NotionStock,
  type Purchase,
  type ShopOffer,
  roleWords,
} from '@snowdrift/core'
import { Store } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { useLazyShopOffersQuery, useMaterialsQuery, useStashPiecesQuery } from '../../../api/api'
import { describeError } from '../../../api/describe-error'
import { Button } from '../../../parts/Button'
import { Length } from '../../../parts/Length'
import { createNestClient, type NestClient } from '../../../workers/nest-client'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'

interface ShoppingProps {
  readonly groups: readonly GroupJob[]
  readonly layouts: Readonly<Record<string, Layout>>
  readonly plan: CuttingBody
}

/** What is still to be bought, in the shop's steps and before washing; what the shop has of it; which notions there are. */
export function Shopping({ groups, layouts, plan }: ShoppingProps) {
  const { unit } = useCover()
  const shop = useShop()
  const wanted = groups.flatMap(job => {
    const bought = layouts[job.group.key]?.used.find(({ cloth }) => cloth === boughtCloth)
    const missing = restToBuy(job, layouts[job.group.key])
    if (!bought || !missing || plan.done.includes(job.group.key)) return []
    return [{ job, needed: bought.length, request: missing }]
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
        {wanted.map(({ job: { group, source }, needed }) => (
          <li key={group.key} className="grid gap-1 py-2.5" data-buy={group.key}>
            <p>
              <span className="font-medium">
                {source.material?.material.name ?? (group.material || roleWords[group.role])}
              </span>
              : <Length value={lengthToBuy(needed, group, unit)} unit={unit} />
              <span className="text-sm text-soft">
                {' '}
                (needs <Length value={needed} unit={unit} finest={16} />
                {!group.washed && group.shrinkage > 0 && `, shrinks ${group.shrinkage} %`})
              </span>
            </p>
            <Ways ways={shop.purchases[group.key]} />
          </li>
        ))}
      </ul>
      <Notions coverIds={plan.coverIds} />
    </section>
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

const money = (cost: number) => cost.toFixed(2)

function Ways({ ways }: { readonly ways: readonly Purchase[] | undefined }) {
  const { unit } = useCover()
  if (!ways) return null
  if (ways.length === 0) return <p className="text-sm text-soft">The shop has nothing that it goes on.</p>
  return (
    <ul className="grid gap-0.5 text-sm">
      {ways.slice(0, 4).map((way, index) => (
        <li key={index} className={index === 0 && way.inStock ? 'font-medium' : 'text-soft'}>
          {way.kind === 'length' ? (
            <>
              <Length value={way.length} unit={unit} /> of {way.offer.name}
            </>
          ) : (
            `${way.count} × ${way.name} of ${way.offer.name}`
          )}
          , {money(way.cost)}
          {!way.inStock && ', sold out'}
          {index === 0 && way.inStock && ways.length > 1 && ' – the cheapest'}
        </li>
      ))}
    </ul>
  )
}

interface Shop {
  readonly state: 'idle' | 'asking'
  readonly problem: string
  readonly purchases: Readonly<Record<string, readonly Purchase[]>>
  readonly ask: (jobs: readonly AskedJob[]) => Promise<void>
}

interface AskedJob {
  readonly key: string
  readonly group: GroupJob['group']
  readonly request: LayoutRequest
  readonly unit: 'in' | 'cm' | 'mm'
}

function useShop(): Shop {
  const client = useRef<NestClient | null>(null)
  const [state, setState] = useState<Omit<Shop, 'ask'>>({ state: 'idle', problem: '', purchases: {} })
  const [fetchOffers] = useLazyShopOffersQuery()
  useEffect(
    () => () => {
      client.current?.close()
      client.current = null
    },
    [],
  )
  const ask = async (jobs: readonly AskedJob[]) => {
    setState({ state: 'asking', problem: '', purchases: {} })
    const offers = new Map<string, readonly ShopOffer[]>()
    for (const { group } of jobs) {
      const answer = await fetchOffers(group.role)
      if (answer.error) {
        setState({ state: 'idle', problem: describeError(answer.error), purchases: {} })
        return
      }
      offers.set(group.key, answer.data?.items ?? [])
    }
    client.current ??= createNestClient()
    const shopping = jobs.map(job => ({ ...job, offers: offers.get(job.key) ?? [] }))
    client.current.ask({ jobs: [], shopping }, reply => {
      if (reply.kind === 'purchases')
        setState(before => ({ ...before, purchases: { ...before.purchases, [reply.key]: reply.purchases } }))
      if (reply.kind === 'done') setState(before => ({ ...before, state: 'idle' }))
    })
  }
  return { ...state, ask }
}

/** Whether there is enough cord, whether a zip is long enough, and so on. */
function Notions({ coverIds }: { readonly coverIds: readonly string[] }) {
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
          const stock = materials
            .filter(
              row => row.stock.notion === need.kind || kindOfNotion(row.stock.notion ?? '') === need.kind,
            )
            .flatMap(row =>
              pieces
                .filter(({ materialId, state }) => materialId === row.id && state === 'free')
                .map(({ count, length }): NotionStock => {
                  const read =
                    length === null
                      ? undefined
                      : readLength(length, row.unit, { min: mm(1), max: mm(100_000) })
                  return { count, ...(read?.ok && { length: read.length }) }
                }),
            )
          const { enough, missingCount, missingLength } = weighNotions(need, stock)
          return (
            <li key={need.kind} data-notion={need.kind} data-enough={enough}>
              {need.count} × {need.kind.replaceAll('-', ' ')}:{' '}
              {enough ? (
                'in the stash'
              ) : (
                <span className="font-medium">
                  buy {missingCount}
                  {missingLength > 0 && (
                    <>
                      , <Length value={missingLength} unit={unit} finest={16} /> in all
                    </>
                  )}
                </span>
              )}
            </li>
          )
        })}
      </ul>
    </div>
  )
}

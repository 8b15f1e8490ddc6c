import type { LayoutRequest, Purchase, ShopOffer, Unit } from '@snowdrift/core'
import { useState } from 'react'
import { useLazyShopOffersQuery } from '../../../api/stash-api'
import { describeError } from '../../../api/describe-error'
import { createNestClient } from '../../../workers/nest-client'
import { useWorker } from '../../../workers/use-worker'
import type { GroupJob } from './group-job'

export interface Shop {
  readonly state: 'idle' | 'asking'
  readonly problem: string
  readonly purchases: Readonly<Record<string, readonly Purchase[]>>
  readonly ask: (jobs: readonly AskedJob[]) => Promise<void>
}

interface AskedJob {
  readonly key: string
  readonly group: GroupJob['group']
  readonly request: LayoutRequest
  readonly unit: Unit
}

/** The simulated shop, asked for what a layout lacks; its answers are laid out on its own cloths. */
export function useShop(): Shop {
  const worker = useWorker(createNestClient)
  const [state, setState] = useState<Omit<Shop, 'ask'>>({ state: 'idle', problem: '', purchases: {} })
  const [fetchOffers] = useLazyShopOffersQuery()
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
    const shopping = jobs.map(job => ({ ...job, offers: offers.get(job.key) ?? [] }))
    worker().ask({ jobs: [], shopping }, reply => {
      if (reply.kind === 'purchases')
        setState(before => ({ ...before, purchases: { ...before.purchases, [reply.key]: reply.purchases } }))
      if (reply.kind === 'done') setState(before => ({ ...before, state: 'idle' }))
    })
  }
  return { ...state, ask }
}

import {
  boughtCloth,
  costOf,
  findToBuy,
  type Layout,
  type LayoutRequest,
  type ToBuy,
  type Unit,
} from '@snowdrift/core'
import type { GroupJob } from './group-job'
import { nameGroup } from './name-group'

/** What is still to be bought of one material. */
export interface Wanted {
  readonly job: GroupJob
  readonly toBuy: ToBuy
  readonly request: LayoutRequest
  /** By the price that the stash knows of it. */
  readonly cost: number | undefined
}

/** What is still to be bought once all is laid out: of the groups that are not cut yet. */
export function listWanted(
  groups: readonly GroupJob[],
  layouts: Readonly<Record<string, Layout>>,
  { done, unit }: { readonly done: readonly string[]; readonly unit: Unit },
): readonly Wanted[] {
  return groups.flatMap((job): readonly Wanted[] => {
    const layout = layouts[job.group.key]
    const toBuy = layout && job.request && findToBuy(job.group, job.request, layout, unit)
    const request = restToBuy(job, layout)
    if (!toBuy || !request || done.includes(job.group.key)) return []
    return [{ job, toBuy, request, cost: knownCost(job, toBuy) }]
  })
}

/** A remnant or a garment is nothing that a shop has more of: what is bought is like it. */
export function nameToBuy({ group, source: { material, offered } }: GroupJob): string {
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

/** What it comes to by the prices that are known, and for how many none is; undefined where none is known at all. */
export function totalOf(
  wanted: readonly Pick<Wanted, 'cost'>[],
): { readonly sum: number; readonly open: number } | undefined {
  const known = wanted.flatMap(({ cost }) => (cost === undefined ? [] : [cost]))
  if (known.length === 0) return undefined
  return { sum: known.reduce((sum, cost) => sum + cost, 0), open: wanted.length - known.length }
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

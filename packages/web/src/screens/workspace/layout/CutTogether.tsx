import type { CuttingBody } from '@snowdrift/core'
import { useCoversInfiniteQuery } from '../../../api/api'
import { MoreButton } from '../../../parts/MoreButton'
import { plannedOf } from '../../../views/planned'
import type { Cutting } from './use-cutting'

/** Other covers that are cut from the same cloth in one go. */
export function CutTogether({
  coverId,
  plan,
  change,
}: {
  readonly coverId: string
  readonly plan: CuttingBody
  readonly change: Cutting['change']
}) {
  const list = useCoversInfiniteQuery()
  const others = (list.data?.pages ?? [])
    .flatMap(({ items }) => items)
    .filter(({ id, file }) => id !== coverId && plannedOf(file).plan)
  const chosen = plan.coverIds.length - 1
  if (others.length === 0 && !list.hasNextPage) return null
  const toggle = (id: string, on: boolean) =>
    change(before => ({
      ...before,
      coverIds: on ? [...before.coverIds, id] : before.coverIds.filter(other => other !== id),
    }))
  return (
    <details>
      <summary className="text-thread underline">
        {chosen === 0
          ? 'Cut other covers with it'
          : `Cut with ${chosen} other ${chosen === 1 ? 'cover' : 'covers'}`}
      </summary>
      <ul className="mt-2 grid gap-1 sm:grid-cols-2">
        {others.map(({ id, file }) => (
          <li key={id}>
            <label className="flex min-h-7 items-center gap-2">
              <input
                type="checkbox"
                className="size-4 accent-thread"
                checked={plan.coverIds.includes(id)}
                disabled={!plan.coverIds.includes(id) && plan.coverIds.length >= 12}
                onChange={event => toggle(id, event.target.checked)}
              />
              {file.name || 'Cover without a name'}
            </label>
          </li>
        ))}
      </ul>
      <MoreButton list={list} label="More covers" className="mt-2" />
    </details>
  )
}

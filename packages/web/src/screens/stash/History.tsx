import type { StashEventKind } from '@snowdrift/core'
import { useHistoryInfiniteQuery } from '../../api/stash-api'
import { MoreButton } from '../../parts/MoreButton'

const eventWords: Readonly<Record<StashEventKind, string>> = {
  added: 'added',
  changed: 'changed',
  deleted: 'taken out',
  restored: 'brought back',
  'piece-added': 'a piece came in',
  'piece-changed': 'a piece was changed',
  'piece-gone': 'a piece was taken out',
  reserved: 'kept for a cover',
  released: 'free again',
  cut: 'cut',
  'left-over': 'left over, back in the stash',
  picture: 'a new picture',
}

/** What became of a material, the newest first. */
export function History({ id }: { readonly id: string }) {
  const list = useHistoryInfiniteQuery(id)
  const events = list.data?.pages.flatMap(({ items }) => items) ?? []
  if (events.length === 0) return null
  return (
    <details>
      <summary className="font-semibold">History</summary>
      <ol className="mt-2 grid gap-1 text-sm">
        {events.map(({ at, what, detail }, index) => (
          <li key={index} className="flex flex-wrap gap-x-3">
            <time dateTime={at} className="w-36 text-soft">
              {new Date(at).toLocaleString('en', { dateStyle: 'medium', timeStyle: 'short' })}
            </time>
            <span>
              {eventWords[what]}
              {detail && <span className="text-soft">: {detail}</span>}
            </span>
          </li>
        ))}
      </ol>
      <MoreButton list={list} label="What was before" className="mt-2" />
    </details>
  )
}

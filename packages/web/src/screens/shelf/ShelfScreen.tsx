import { Plus } from 'lucide-react'
import { Link } from 'react-router'
import { useCoversInfiniteQuery, useThingsInfiniteQuery } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { MoreButton } from '../../parts/MoreButton'
import { CoverOnShelf } from './CoverOnShelf'
import { ImportCover } from './ImportCover'
import { ThingOnShelf } from './ThingOnShelf'
import { useSwatches } from './use-swatches'
import { usePageTitle } from '../../views/use-page-title'

/** The workshop's covers to one scale, and the things that wait for one. */
export function ShelfScreen() {
  usePageTitle('Shelf')
  const covers = useCoversInfiniteQuery()
  const things = useThingsInfiniteQuery()
  const swatches = useSwatches()
  const rows = covers.data?.pages.flatMap(page => page.items) ?? []
  const covered = new Set(rows.map(({ thingId }) => thingId))
  const waiting = (things.data?.pages.flatMap(page => page.items) ?? []).filter(({ id }) => !covered.has(id))
  const error = covers.error ?? things.error
  return (
    <main className="mx-auto w-full max-w-7xl px-4 pt-6 pb-16 sm:px-8">
      <div className="mb-8 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-3xl font-semibold tracking-tight">Shelf</h1>
        <ImportCover />
        <Link to="/new" className={`${buttonShape} ${buttonLooks.act}`}>
          <Plus className="size-4" aria-hidden /> Cover something
        </Link>
      </div>
      {error && (
        <p role="alert" className="mb-6 border-l-3 border-bad pl-3">
          {describeError(error)}{' '}
          <button className="text-thread underline" onClick={() => void (covers.refetch(), things.refetch())}>
            Try again
          </button>
        </p>
      )}
      {covers.isLoading && <p className="text-soft">Fetching the shelf …</p>}
      {covers.data && rows.length === 0 && <EmptyShelf />}
      <ul aria-label="Covers" className="flex flex-wrap items-end gap-y-10">
        {rows.map(row => (
          <CoverOnShelf key={row.id} row={row} swatches={swatches} />
        ))}
      </ul>
      <MoreButton list={covers} label="More covers" className="mt-6" />
      {rows.length > 0 && (
        <p className="mt-4 text-sm text-soft">Covers stand closed, front to you, all to one scale.</p>
      )}
      {waiting.length > 0 && (
        <section className="mt-12" aria-labelledby="waiting">
          <h2 id="waiting" className="mb-4 text-xl font-semibold">
            Measured, not covered yet
          </h2>
          <ul className="flex flex-wrap items-end gap-y-10">
            {waiting.map(thing => (
              <ThingOnShelf key={thing.id} thing={thing} />
            ))}
          </ul>
        </section>
      )}
      <MoreButton list={things} label="More things" className="mt-6" />
    </main>
  )
}

function EmptyShelf() {
  return (
    <div className="max-w-lg border-l-3 border-thread py-2 pl-4">
      <p className="text-lg font-medium">Nothing stands here yet.</p>
      <p className="mt-1 text-soft">
        Take a book and a tape. Say what it is, read its height and how far it is round, and the pieces work
        themselves out.
      </p>
    </div>
  )
}

import type { ShelfEntry } from '@snowdrift/core'
import { Plus } from 'lucide-react'
import { lazy, Suspense, useDeferredValue, useEffect, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useCoversInfiniteQuery, useThingsInfiniteQuery } from '../../api/api'
import { useShelfQuery } from '../../api/log-api'
import { describeError } from '../../api/describe-error'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { MoreButton } from '../../parts/MoreButton'
import { usePageTitle } from '../../views/use-page-title'
import { CoverAlone } from './CoverOnShelf'
import { everything, findOnShelf } from './find-on-shelf'
import { ImportCover } from './ImportCover'
import { ShelfTools } from './ShelfTools'
import { ThingOnShelf } from './ThingOnShelf'
import { useCloths } from './use-cloths'

const loadBigShelf = () => import('./BigShelf')
const loadToday = () => import('./Today')
const BigShelf = lazy(loadBigShelf)
const EmptyShelf = lazy(() => import('./EmptyShelf'))
const Today = lazy(loadToday)

/** So many covers stand there all at once; of more, those in sight. */
const mostAtOnce = 60
/** Fewer are seen at a glance. */
const fewestToSeek = 6

/** The workshop's covers to one scale, and the things that wait for one. */
export function ShelfScreen() {
  usePageTitle('Shelf')
  const shelf = useShelfQuery()
  // the first pages bring the files of what is drawn first
  const covers = useCoversInfiniteQuery()
  const things = useThingsInfiniteQuery()
  const entries = covers.isLoading ? undefined : shelf.data
  useLoadedMeanwhile(covers.hasNextPage)
  const covered = new Set(entries?.map(({ thingId }) => thingId))
  const waiting = (things.data?.pages.flatMap(page => page.items) ?? []).filter(({ id }) => !covered.has(id))
  const error = shelf.error ?? covers.error ?? things.error
  const again = () => void (shelf.refetch(), covers.refetch(), things.refetch())
  return (
    <main className="mx-auto w-full max-w-7xl px-4 pt-6 pb-16 sm:px-8">
      <div className="mb-6 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-3xl font-semibold tracking-tight">Shelf</h1>
        <ImportCover />
        <Link to="/new" className={`${buttonShape} ${buttonLooks.act}`}>
          <Plus className="size-4" aria-hidden /> Cover something
        </Link>
      </div>
      {error && (
        <p role="alert" className="mb-6 border-l-3 border-bad pl-3">
          {describeError(error)}{' '}
          <button className="text-thread underline" onClick={again}>
            Try again
          </button>
        </p>
      )}
      {!entries && !error && <p className="text-soft">Fetching the shelf …</p>}
      {entries?.length === 0 && (
        <Suspense fallback={<p className="text-soft">Nothing stands here yet.</p>}>
          <EmptyShelf />
        </Suspense>
      )}
      {entries && entries.length > 0 && <Covers entries={entries} />}
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

/** What stands round the covers is fetched while they are awaited, not after. */
function useLoadedMeanwhile(isBig: boolean): void {
  useEffect(() => {
    for (const load of isBig ? [loadToday, loadBigShelf] : [loadToday])
      // what does not come now is asked for again where it is drawn
      load().catch(() => undefined)
  }, [isBig])
}

function Covers({ entries }: { readonly entries: readonly ShelfEntry[] }) {
  const [sought, setSought] = useState(everything)
  const cloths = useCloths()
  // letters come first; the shelf follows when there is time
  const asked = useDeferredValue(sought)
  const found = useMemo(() => findOnShelf(entries, asked), [entries, asked])
  return (
    <>
      <Suspense>
        <Today entries={entries} />
      </Suspense>
      {entries.length >= fewestToSeek && (
        <ShelfTools
          entries={entries}
          sought={sought}
          found={found.length}
          onSeek={part => setSought(before => ({ ...before, ...part }))}
        />
      )}
      {found.length > mostAtOnce ? (
        <Suspense>
          <BigShelf entries={found} cloths={cloths} />
        </Suspense>
      ) : (
        <ul aria-label="Covers" className="flex flex-wrap items-end gap-y-10">
          {found.map(entry => (
            <CoverAlone key={entry.id} entry={entry} cloths={cloths} />
          ))}
        </ul>
      )}
      {found.length === 0 && <p className="text-soft">Nothing on the shelf is like that.</p>}
      {found.length > 0 && (
        <p className="mt-4 text-sm text-soft">
          Covers stand closed, front to you, all to one scale.{' '}
          <Link className="text-thread underline" to="/series">
            How few would serve all that is measured?
          </Link>
        </p>
      )}
    </>
  )
}

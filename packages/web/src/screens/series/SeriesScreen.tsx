import { families, type CoverFile, type ThingRow, type Unit } from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { v4 as newId } from 'uuid'
import { useCreateCoverMutation, useCoversInfiniteQuery, useSettingsQuery } from '../../api/api'
import { useAllThingsQuery } from '../../api/log-api'
import { describeError } from '../../api/describe-error'
import { Button } from '../../parts/Button'
import { controlLook, Field } from '../../parts/Field'
import { Length } from '../../parts/Length'
import { usePageTitle } from '../../views/use-page-title'
import { areaIn } from '../log/log-charts'
import { newCoverFile } from '../new-cover/new-cover-file'
import type { CoverOfSeries } from '../../workers/series-protocol'
import { useSeries, type SeriesOfFamily } from './use-series'

const allFamilies = families.map(({ id }) => id)

/** How few covers serve many things, by each way of making, and what cloth each takes. */
export function Screen() {
  usePageTitle('Fewest covers')
  const { data: things, error } = useAllThingsQuery(undefined, { refetchOnMountOrArgChange: true })
  const [sought, setSought] = useState('')
  const [out, setOut] = useState<ReadonlySet<string>>(new Set())
  const shown = useMemo(
    () => things?.filter(({ name }) => name.toLowerCase().includes(sought.trim().toLowerCase())) ?? [],
    [things, sought],
  )
  const chosen = useMemo(() => shown.filter(({ id }) => !out.has(id)), [shown, out])
  const toggle = (id: string) =>
    setOut(before => {
      const next = new Set(before)
      if (!next.delete(id)) next.add(id)
      return next
    })
  return (
    <main className="mx-auto grid w-full max-w-6xl gap-6 px-4 py-8 sm:px-8">
      <div>
        <h1 className="text-3xl font-semibold tracking-tight">Fewest covers</h1>
        <p className="mt-1 max-w-2xl text-soft">
          For books that are never open together: how few covers serve them all, one size for several or one
          that adjusts.
        </p>
      </div>
      {error && <p role="alert">{describeError(error)}</p>}
      {things?.length === 0 && (
        <p>
          Nothing is measured yet.{' '}
          <Link className="text-thread underline" to="/new">
            Measure the first
          </Link>
          , or take in a table of many there.
        </p>
      )}
      {things && things.length > 0 && (
        <div className="grid gap-8 lg:grid-cols-[minmax(16rem,3fr)_8fr]">
          <section aria-labelledby="of" className="grid content-start gap-3">
            <h2 id="of" className="text-xl font-semibold">
              {chosen.length} of {things.length} things
            </h2>
            <input
              type="search"
              aria-label="Find things"
              placeholder="Find things"
              className={controlLook}
              value={sought}
              onChange={event => setSought(event.target.value)}
            />
            <div
              role="group"
              aria-label="Things"
              tabIndex={0}
              className="grid max-h-96 content-start overflow-y-auto border-y border-rule"
            >
              {shown.map(({ id, name }) => (
                <label key={id} className="flex min-h-7 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-4 shrink-0 accent-(--thread)"
                    checked={!out.has(id)}
                    onChange={() => toggle(id)}
                  />
                  {name}
                </label>
              ))}
            </div>
          </section>
          <Ways things={chosen} />
        </div>
      )}
    </main>
  )
}

function Ways({ things }: { readonly things: readonly ThingRow[] }) {
  const { data: settings } = useSettingsQuery()
  const covers = useCoversInfiniteQuery()
  const rows = covers.data?.pages.flatMap(page => page.items) ?? []
  const [like, setLike] = useState('')
  const likeFile = rows.find(({ id }) => id === like)?.file
  const [first] = things
  const file = useMemo(
    () => likeFile ?? (first && settings ? newCoverFile(first, settings) : undefined),
    [likeFile, first, settings],
  )
  const { found, isDone } = useSeries(file, things, allFamilies)
  const unit = settings?.unit ?? 'in'
  const sorted = found
    .filter(({ covers: some }) => some.length > 0)
    .toSorted((one, other) => one.left.length - other.left.length || one.covers.length - other.covers.length)
  return (
    <section aria-labelledby="ways" className="grid content-start gap-4">
      <h2 id="ways" className="text-xl font-semibold">
        By way of making
      </h2>
      <div className="max-w-sm">
        <Field label="Of what layers" help="Cloth, padding and seams as that cover has them.">
          {({ id, describedBy }) => (
            <select
              id={id}
              aria-describedby={describedBy}
              className={controlLook}
              value={like}
              onChange={event => setLike(event.target.value)}
            >
              <option value="">plain cotton, lined</option>
              {rows.map(({ id: cover, file: { name } }) => (
                <option key={cover} value={cover}>
                  {name}
                </option>
              ))}
            </select>
          )}
        </Field>
      </div>
      {things.length === 0 && <p className="text-soft">Choose some things.</p>}
      <p role="status" className="sr-only">
        {isDone ? 'All ways of making are reckoned.' : 'Reckoning …'}
      </p>
      <ul className="grid gap-3">
        {sorted.map(series => (
          <Way key={series.family} series={series} things={things} unit={unit} />
        ))}
      </ul>
      {!isDone && things.length > 0 && <p className="text-soft">Reckoning …</p>}
    </section>
  )
}

interface WayProps {
  readonly series: SeriesOfFamily
  readonly things: readonly ThingRow[]
  readonly unit: Unit
}

function Way({ series: { family, covers, bound, left }, things, unit }: WayProps) {
  const words = families.find(({ id }) => id === family)?.words.name ?? family
  const cloth = covers.reduce((sum, one) => sum + (one.cloth.outer ?? 0), 0)
  const served = things.length - left.length
  return (
    <li className="border-l-3 border-rule pl-4" data-series={family} data-covers={covers.length}>
      <details>
        <summary className="flex cursor-pointer flex-wrap items-baseline gap-x-4">
          <strong className="min-w-48 font-semibold">{words}</strong>
          <span className="text-lg">
            {covers.length} {covers.length === 1 ? 'cover' : 'covers'} for {served}
          </span>
          <span className="text-soft">
            {bound >= covers.length ? 'no fewer will do' : `${bound} at the least`}, {sayArea(cloth, unit)} of
            cloth outside
          </span>
        </summary>
        <ol className="mt-2 divide-y divide-rule border-y border-rule">
          {covers.map((cover, index) => (
            <Cover key={index} cover={cover} things={things} unit={unit} />
          ))}
        </ol>
      </details>
      {left.length > 0 && (
        <p className="text-sm text-soft">
          {left.length} left out: not measured for it, or it does not suit them.
        </p>
      )}
    </li>
  )
}

interface CoverProps {
  readonly cover: CoverOfSeries
  readonly things: readonly ThingRow[]
  readonly unit: Unit
}

function Cover({ cover: { things: places, outer, file, cloth }, things, unit }: CoverProps) {
  const [create, { error, isLoading }] = useCreateCoverMutation()
  const [id] = useState(() => newId())
  const navigate = useNavigate()
  const names = places.map(place => things[place]?.name ?? '')
  const begin = async () => {
    const thingId = places.length === 1 ? (things[places[0] ?? 0]?.id ?? null) : null
    const created = await create({ id, body: { thingId, file: named(file, names) } })
    if (created.data) await navigate(`/covers/${id}/fit`)
  }
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2">
      <span className="min-w-40 flex-1">{names.join(', ')}</span>
      <span>
        <Length value={outer.width} unit={unit} bare /> × <Length value={outer.height} unit={unit} />
      </span>
      <span className="text-soft">{sayArea(cloth.outer ?? 0, unit)}</span>
      <Button small disabled={isLoading} onClick={() => void begin()}>
        Begin it
      </Button>
      {error && (
        <p role="alert" className="basis-full">
          {describeError(error)}
        </p>
      )}
    </li>
  )
}

function named(file: CoverFile, names: readonly string[]): CoverFile {
  const [first = '', ...others] = names
  const name = others.length === 0 ? `Cover for ${first}` : `Cover for ${first} and ${others.length} more`
  return { ...file, name: name.slice(0, 120) }
}

function sayArea(squareMetres: number, unit: Unit): string {
  const area = areaIn(squareMetres, unit)
  return `${area < 10 ? area.toFixed(2) : area.toFixed(1)} ${unit === 'in' ? 'sq yd' : 'm²'}`
}

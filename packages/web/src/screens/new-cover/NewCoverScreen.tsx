import { objectKinds, usualSpine, type ObjectKind, type ThingRow } from '@snowdrift/core'
import { FileOutput } from 'lucide-react'
import type { SubmitEvent } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { v4 as newId } from 'uuid'
import {
  useCreateCoverMutation,
  useCreateThingMutation,
  useLazySettingsQuery,
  useThingQuery,
  useThingsInfiniteQuery,
} from '../../api/api'
import { useLazyMakesQuery } from '../../api/log-api'
import { describeError } from '../../api/describe-error'
import { useKeptForm, type KeptForm } from '../../drafts/use-kept-form'
import { Button, buttonLooks, buttonShape } from '../../parts/Button'
import { controlLook, Field } from '../../parts/Field'
import { MoreButton } from '../../parts/MoreButton'
import { learntHand } from '../../views/learnt-hand'
import { learntOf } from '../../views/use-learnt'
import { kindWords } from '../../views/kind-words'
import { ImportThings } from './ImportThings'
import { newCoverFile } from './new-cover-file'
import { usePageTitle } from '../../views/use-page-title'

/** Says what is to be covered: something new, or a thing that was measured before. */
export function Screen() {
  usePageTitle('Cover something')
  const [params] = useSearchParams()
  const thingId = params.get('thing')
  const thing = useThingQuery(thingId ?? '', { skip: !thingId })
  return (
    <main className="mx-auto grid w-full max-w-3xl gap-8 px-4 py-8 sm:px-8">
      <h1 className="text-3xl font-semibold tracking-tight">Cover something</h1>
      {thing.error && <p role="alert">{describeError(thing.error)}</p>}
      {thing.data ? <BeginWith thing={thing.data} /> : <NewThing />}
      {!thingId && <KnownThings />}
    </main>
  )
}

interface NewThingForm {
  readonly kind: ObjectKind
  readonly name: string
  /** The names of what is made when the form is sent: sent twice, it makes one. */
  readonly thingId: string
  readonly coverId: string
}

const beginForm = (): NewThingForm => ({
  kind: 'hardcover',
  name: '',
  thingId: newId(),
  coverId: newId(),
})

function NewThing() {
  const kept = useKeptForm('new-cover', beginForm)
  return kept ? <NewThingFields {...kept} /> : null
}

function NewThingFields({ form, change, done }: KeptForm<NewThingForm>) {
  const { kind, name, thingId, coverId } = form
  const [createThing, { error }] = useCreateThingMutation()
  const begin = useBegin()
  const submit = async (event: SubmitEvent) => {
    event.preventDefault()
    const title = name.trim() || kindWords[kind].name
    const spine = usualSpine(kind)
    const object = { kind, ...(spine !== 'flat' && { spine }), readings: {} }
    const settings = await begin.settings()
    if (!settings) return
    const created = await createThing({ id: thingId, body: { name: title, unit: settings.unit, object } })
    const thing = created.data ?? (madeBefore(created.error) as ThingRow | undefined)
    if (thing) await begin.coverFor(thing, coverId, done)
  }
  return (
    <form className="grid gap-6" onSubmit={event => void submit(event)}>
      <fieldset className="grid gap-2">
        <legend className="mb-2 text-lg font-medium">What is it?</legend>
        <div className="grid gap-2 sm:grid-cols-2">
          {objectKinds.map(choice => (
            <label
              key={choice}
              className="flex cursor-pointer items-start gap-3 rounded-md border border-rule bg-surface p-3 has-checked:border-thread has-checked:bg-thread-soft"
            >
              <input
                type="radio"
                name="kind"
                className="mt-1.5 accent-(--thread)"
                autoFocus={choice === kind}
                checked={choice === kind}
                onChange={() => change({ kind: choice })}
              />
              <span>
                <span className="block font-medium">{kindWords[choice].name}</span>
                <span className="text-sm text-soft">{kindWords[choice].which}</span>
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      <Field label="What do you call it?" help="So that you find it again. You can change it later.">
        {({ id, describedBy }) => (
          <input
            id={id}
            aria-describedby={describedBy}
            className={`${controlLook} max-w-md`}
            maxLength={120}
            value={name}
            placeholder={kindWords[kind].name}
            onChange={event => change({ name: event.target.value })}
          />
        )}
      </Field>
      <div className="flex items-center gap-4">
        <Button type="submit" look="act">
          Measure it
        </Button>
        {(error ?? begin.error) && <p role="alert">{describeError(error ?? begin.error)}</p>}
      </div>
    </form>
  )
}

function BeginWith({ thing }: { readonly thing: ThingRow }) {
  const begin = useBegin()
  return (
    <div className="grid gap-4">
      <p className="text-lg">
        A cover for <strong>{thing.name}</strong>, {kindWords[thing.object.kind].name.toLowerCase()}, with the
        readings that are on the shelf.
      </p>
      <div className="flex items-center gap-4">
        <Button look="act" autoFocus onClick={() => void begin.coverFor(thing, newId())}>
          Begin
        </Button>
        {begin.error && <p role="alert">{describeError(begin.error)}</p>}
      </div>
    </div>
  )
}

function KnownThings() {
  const list = useThingsInfiniteQuery()
  const begin = useBegin()
  const things = list.data?.pages.flatMap(page => page.items) ?? []
  return (
    <section aria-labelledby="known" className="grid gap-4">
      <h2 id="known" className="text-lg font-medium">
        Or something measured before
      </h2>
      {things.length === 0 && (
        <p className="text-soft">What you measure stays on the shelf. A table of books comes in at once.</p>
      )}
      <ul hidden={things.length === 0} className="divide-y divide-rule border-y border-rule">
        {things.map(thing => (
          <li key={thing.id}>
            <button
              className="flex w-full items-baseline gap-3 px-1 py-2.5 text-left hover:bg-sunken"
              onClick={() => void begin.coverFor(thing, newId())}
            >
              <span className="font-medium">{thing.name}</span>
              <span className="text-sm text-soft">{kindWords[thing.object.kind].name}</span>
            </button>
          </li>
        ))}
      </ul>
      <MoreButton list={list} label="More things" />
      <details>
        <summary className="min-h-9 cursor-pointer text-thread">From a table, or as a table</summary>
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <ImportThings />
          <a className={`${buttonShape} ${buttonLooks.plain}`} href="/api/things.csv" download="things.csv">
            <FileOutput className="size-4" aria-hidden /> Export as CSV
          </a>
        </div>
      </details>
    </section>
  )
}

/**
 * Makes the cover with the workshop's settings and goes to its first station. Whoever is quicker than the settings waits
 * for them: an Enter that is pressed at once is not lost.
 */
function useBegin() {
  const [fetchSettings, { error: unfetched }] = useLazySettingsQuery()
  const [createCover, { error }] = useCreateCoverMutation()
  const [fetchMakes] = useLazyMakesQuery()
  const navigate = useNavigate()
  const settings = async () => (await fetchSettings(undefined, true)).data
  return {
    settings,
    error: error ?? unfetched,
    coverFor: async (thing: ThingRow, id: string, done?: () => Promise<void>) => {
      const known = await settings()
      if (!known) return
      const makes = known.learning === 'used' ? (await fetchMakes(undefined, true)).data : undefined
      const hand = makes && learntHand(learntOf(makes))
      const body = { thingId: thing.id, file: newCoverFile(thing, known, hand) }
      const created = await createCover({ id, body })
      if (!created.data && !madeBefore(created.error)) return
      await done?.()
      await navigate(`/covers/${id}/measure`)
    },
  }
}

/** The row that the same form made before, when its answer was lost and something in it was changed since. */
function madeBefore(error: unknown): unknown {
  const { status, data } = (error ?? {}) as { status?: unknown; data?: { current?: unknown } }
  return status === 412 ? data?.current : undefined
}

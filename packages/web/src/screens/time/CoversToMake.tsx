import type { ShelfEntry } from '@snowdrift/core'
import { X } from 'lucide-react'
import { Link } from 'react-router'
import { DayField } from '../../parts/DayField'
import { controlLook, Field } from '../../parts/Field'
import { IconButton } from '../../parts/IconButton'
import type { Marks } from '../../views/use-mark'
import { today } from '../../views/own-clock'

interface CoversToMakeProps {
  readonly shelf: readonly ShelfEntry[]
  readonly marks: Marks
}

/** The covers that are planned, by when each is wanted, and the way to take another. */
export function CoversToMake({ shelf, marks }: CoversToMakeProps) {
  const planned = shelf.filter(entry => entry.planned)
  const others = shelf.filter(entry => !entry.planned && !entry.archived)
  return (
    <section aria-labelledby="to-make" className="grid content-start gap-3">
      <h2 id="to-make" className="text-xl font-semibold">
        To be made
      </h2>
      <ul className="divide-y divide-rule border-y border-rule empty:hidden">
        {planned.map(entry => (
          <PlannedCover key={entry.id} entry={entry} marks={marks} />
        ))}
      </ul>
      {others.length > 0 && (
        <Field label="Take a cover into the plan">
          {({ id }) => (
            <select
              id={id}
              className={controlLook}
              value=""
              onChange={event => {
                if (event.target.value) void marks.change(event.target.value, { planned: true })
              }}
            >
              <option value="">choose …</option>
              {others.map(({ id: cover, name }) => (
                <option key={cover} value={cover}>
                  {name || 'Cover without a name'}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      {shelf.length === 0 && (
        <p className="text-soft">
          The shelf is empty.{' '}
          <Link className="text-thread underline" to="/new">
            Cover something
          </Link>
        </p>
      )}
    </section>
  )
}

function PlannedCover({ entry: { id, name }, marks }: { readonly entry: ShelfEntry; readonly marks: Marks }) {
  const { due, copies, notBefore } = marks.of(id)
  const isGone = due !== null && due < today()
  const title = name || 'Cover without a name'
  return (
    <li className="grid gap-2 py-3" data-planned={id}>
      <div className="flex items-center gap-2">
        <Link className="flex min-h-11 flex-1 items-center font-medium text-ink" to={`/covers/${id}/make`}>
          {title}
        </Link>
        <IconButton
          icon={X}
          label={`Take ${title} out of the plan`}
          onClick={() => void marks.change(id, { planned: false })}
        />
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <label className="grid gap-0.5 text-sm text-soft">
          wanted by
          <DayField
            label={`${title}: wanted by`}
            value={due}
            onChange={next => void marks.change(id, { due: next })}
          />
        </label>
        <label className="grid gap-0.5 text-sm text-soft">
          copies
          <input
            type="number"
            min={1}
            max={100}
            className={`${controlLook} max-w-20`}
            aria-label={`${title}: copies`}
            defaultValue={copies}
            key={copies}
            onBlur={event => {
              const next = Math.min(100, Math.max(1, Math.round(Number(event.target.value)) || 1))
              if (next !== copies) void marks.change(id, { copies: next })
              else event.target.value = String(copies)
            }}
          />
        </label>
        {Object.keys(notBefore).length > 0 && (
          <button
            className="min-h-9 text-sm text-thread underline"
            onClick={() => void marks.change(id, { notBefore: {} })}
          >
            Let what was put off flow again
          </button>
        )}
      </div>
      {isGone && (
        <p className="text-sm text-caution">
          That day is over. Give it another, or take the date out: it counts as late from the first session
          on.
        </p>
      )}
    </li>
  )
}

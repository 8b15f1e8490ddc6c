import { dueReminders, type MakeRow } from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useMakesQuery } from '../../api/log-api'
import { describeError } from '../../api/describe-error'
import { controlLook } from '../../parts/Field'
import { sayDay } from '../../views/day-words'
import { usePageTitle } from '../../views/use-page-title'
import { fitted } from './log-charts'
import { today } from '../../views/own-clock'
import { WhatTheyTell } from './WhatTheyTell'

/** Every make, and what all of them tell. */
export function Screen() {
  usePageTitle('Log')
  const { data: makes, error } = useMakesQuery(undefined, { refetchOnMountOrArgChange: true })
  return (
    <main className="mx-auto grid w-full max-w-5xl gap-10 px-4 py-8 sm:px-8">
      <h1 className="text-3xl font-semibold tracking-tight">Log</h1>
      {error && <p role="alert">{describeError(error)}</p>}
      {!makes && !error && <p className="text-soft">Fetching the log …</p>}
      {makes?.length === 0 && (
        <p className="max-w-lg border-l-3 border-thread py-1 pl-4">
          Nothing was made yet. Once a cover is done at the table, put it into the log at its last station:
          sizes, times and mends go with it, and from several makes your own hand shows.
        </p>
      )}
      {makes && makes.length > 0 && (
        <>
          <Due makes={makes} />
          <WhatTheyTell makes={makes} />
          <Makes makes={makes} />
        </>
      )}
    </main>
  )
}

function Due({ makes }: { readonly makes: readonly MakeRow[] }) {
  const due = dueReminders(makes, today())
  if (due.length === 0) return null
  return (
    <section aria-labelledby="due" className="border-l-3 border-thread py-1 pl-4">
      <h2 id="due" className="text-lg font-semibold">
        To be seen to
      </h2>
      <ul className="mt-1 grid gap-1">
        {due.map(({ make, reminder }) => (
          <li key={reminder.id}>
            {reminder.what}: <LinkToMake make={make} />, since {sayDay(reminder.due)}
          </li>
        ))}
      </ul>
    </section>
  )
}

export function LinkToMake({ make: { coverId, log } }: { readonly make: MakeRow }) {
  const name = log.name || 'Cover without a name'
  return coverId === null ? (
    <span>{name}</span>
  ) : (
    <Link className="text-thread underline" to={`/covers/${coverId}/log`}>
      {name}
    </Link>
  )
}

function Makes({ makes }: { readonly makes: readonly MakeRow[] }) {
  const [wanted, setWanted] = useState('')
  const shown = useMemo(() => {
    const text = wanted.trim().toLowerCase()
    return [...makes]
      .filter(({ log }) =>
        `${log.name} ${log.notes} ${log.regrets.map(({ what }) => what).join(' ')}`
          .toLowerCase()
          .includes(text),
      )
      .sort((one, other) => (one.log.finished < other.log.finished ? 1 : -1))
  }, [makes, wanted])
  const { fit, known } = fitted(makes)
  return (
    <section aria-labelledby="makes" className="grid gap-3">
      <h2 id="makes" className="text-xl font-semibold">
        {makes.length} {makes.length === 1 ? 'make' : 'makes'}
        {known > 0 && (
          <span className="ml-2 text-base font-normal text-soft">
            {fit} of {known} fit
          </span>
        )}
      </h2>
      {makes.length > 3 && (
        <input
          type="search"
          aria-label="Find in the log"
          placeholder="Find in the log"
          className={`${controlLook} max-w-sm`}
          value={wanted}
          onChange={event => setWanted(event.target.value)}
        />
      )}
      <ul className="divide-y divide-rule border-y border-rule">
        {shown.map(make => (
          <li key={make.id} className="grid gap-x-4 py-2.5 sm:grid-cols-[10rem_1fr_auto]" data-make={make.id}>
            <span className="text-soft">{sayDay(make.log.finished)}</span>
            <span>
              <LinkToMake make={make} />
              {make.log.regrets.map(({ what }) => (
                <span key={what} className="block text-sm text-soft">
                  otherwise next time: {what}
                </span>
              ))}
            </span>
            <span className="text-sm">
              <HowItFits make={make} />
            </span>
          </li>
        ))}
      </ul>
      {shown.length === 0 && <p className="text-soft">Nothing in the log says “{wanted}”.</p>}
    </section>
  )
}

function HowItFits({ make }: { readonly make: MakeRow }) {
  const { fit, known } = fitted([make])
  if (known === 0) return <span className="text-soft">nobody said how it fits</span>
  return fit > 0 ? <span className="text-good">fits</span> : <span className="text-bad">does not fit</span>
}

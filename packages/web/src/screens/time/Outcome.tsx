import { sayWhyUnplaced, type Schedule } from '@snowdrift/core'
import { Link } from 'react-router'
import { sayDate, sayDuration, sayLate, sayTime } from '../../views/day-words'
import { endOfDay } from '../../views/own-clock'
import type { Marks } from '../../views/use-mark'
import { helpsFor } from './what-helps'
import type { TimePlan } from './use-time-plan'

interface OutcomeProps {
  readonly plan: TimePlan
  readonly schedule: Schedule
  readonly marks: Marks
}

/** What the plan comes to: who is late first, what would help; then when all is done, and what the order saves. */
export function Outcome({ plan, schedule, marks }: OutcomeProps) {
  const { late, finish, minutes, oneByOne, bound, critical, latestStart, unplaced } = schedule
  const nameOf = (id: string) => plan.covers.find(cover => cover.id === id)?.file.name || 'A cover'
  const last = Math.max(...Object.values(finish))
  const saved = oneByOne.setUp - minutes.setUp
  return (
    <section aria-label="What it comes to" className="grid gap-4" data-outcome>
      {plan.sessions.length === 0 && (
        <p role="alert" className="text-lg">
          There is no session to work in. Say when you work.
        </p>
      )}
      {late.length > 0 && (
        <ul className="grid gap-1" data-late>
          {late.map(({ cover, minutes: by }) => (
            <li key={cover} className="text-2xl font-semibold">
              {nameOf(cover)} is {sayLate(by)} late.
            </li>
          ))}
        </ul>
      )}
      {late.length === 0 && unplaced.length === 0 && Number.isFinite(last) && (
        <p className="text-2xl font-semibold" role="status">
          {hasDates(plan, marks) ? 'All in time' : 'All has its place'}: done on {sayDate(last)} at{' '}
          {sayTime(last)}.
        </p>
      )}
      {late.length > 0 && <Helps plan={plan} schedule={schedule} />}
      {unplaced.length > 0 && <Unplaced plan={plan} schedule={schedule} nameOf={nameOf} />}
      {plan.notPlanned.length > 0 && (
        <p>
          Not planned, for a reading is missing or a piece comes out at nothing:{' '}
          {plan.notPlanned.map((id, index) => (
            <span key={id}>
              {index > 0 && ', '}
              <Link className="text-thread underline" to={`/covers/${id}`}>
                {nameOf(id)}
              </Link>
            </span>
          ))}
          .
        </p>
      )}
      <dl className="grid gap-x-6 gap-y-1 sm:grid-cols-[auto_1fr]">
        <dt className="text-soft">Work</dt>
        <dd>
          {sayDuration(minutes.active)} and {sayDuration(minutes.setUp)} of setting up
          {minutes.idle >= 1 && `, ${sayDuration(minutes.idle)} of waiting`}
        </dd>
        <dt className="text-soft">One cover after the other</dt>
        <dd data-saved={Math.round(saved)}>
          {sayDuration(oneByOne.setUp)} of setting up
          {saved >= 1 && `: this order saves ${sayDuration(saved)}`}
          {oneByOne.finish !== undefined &&
            Number.isFinite(last) &&
            oneByOne.finish > last &&
            `, and it would be done on ${sayDate(oneByOne.finish)}`}
          {oneByOne.lateMinutes > sum(late) && `, ${sayLate(oneByOne.lateMinutes - sum(late))} later in all`}
        </dd>
        {latestStart !== undefined && (
          <>
            <dt className="text-soft">Begin at the latest</dt>
            <dd>
              {sayDate(latestStart)} at {sayTime(latestStart)}
            </dd>
          </>
        )}
        {bound.finish !== undefined && (
          <>
            <dt className="text-soft">No order is done before</dt>
            <dd>
              {sayDate(bound.finish)} at {sayTime(bound.finish)}
            </dd>
          </>
        )}
        {critical.length > 0 && (
          <>
            <dt className="text-soft">The longest way</dt>
            <dd>
              <details>
                <summary className="cursor-pointer">
                  {nameOf(critical[0]?.cover ?? '')}, {critical.length} steps one after the other
                </summary>
                <ol className="mt-1 list-decimal pl-6">
                  {critical.map(({ cover, step }) => (
                    <li key={step}>{plan.steps[cover]?.[step]?.name ?? step}</li>
                  ))}
                </ol>
              </details>
            </dd>
          </>
        )}
      </dl>
    </section>
  )
}

function hasDates({ covers }: TimePlan, marks: Marks): boolean {
  return covers.some(({ id }) => {
    const { due } = marks.of(id)
    return due !== null && endOfDay(due) !== undefined
  })
}

function sum(late: Schedule['late']): number {
  return late.reduce((total, { minutes }) => total + minutes, 0)
}

/** What would bring late covers in, the best of it first; what helps nothing is not said. */
function Helps({ plan, schedule }: Pick<OutcomeProps, 'plan' | 'schedule'>) {
  const now = sum(schedule.late)
  const toMake = plan.covers.map(({ id, file }) => ({ id, file, copies: 1, done: [], notBefore: {}, due: 0 }))
  const helps = helpsFor(toMake, plan.sessions, plan.from)
    .flatMap(({ key, words }) => {
      const other = plan.otherwise[key]
      return other ? [{ key, words, late: sum(other.late) }] : []
    })
    .filter(({ late }) => late < now - 1)
    .sort((one, other) => one.late - other.late)
    .slice(0, 3)
  if (helps.length === 0) return null
  return (
    <div>
      <h3 className="font-semibold">What would help</h3>
      <ul className="list-disc pl-5" data-helps>
        {helps.map(({ key, words, late }) => (
          <li key={key}>
            {words}: {late === 0 ? 'nothing would be late' : `${sayLate(now - late)} less`}
          </li>
        ))}
      </ul>
    </div>
  )
}

interface UnplacedProps extends Pick<OutcomeProps, 'plan' | 'schedule'> {
  readonly nameOf: (id: string) => string
}

function Unplaced({ plan, schedule: { unplaced }, nameOf }: UnplacedProps) {
  const first = unplaced.filter(({ why }) => why.kind !== 'needs')
  return (
    <div role="alert" className="grid gap-1">
      <p className="font-semibold">
        {unplaced.length} {unplaced.length === 1 ? 'step finds' : 'steps find'} no place.
      </p>
      <ul className="list-disc pl-5">
        {first.slice(0, 5).map(({ cover, copy, step, why }) => (
          <li key={`${cover} ${copy} ${step}`}>
            {nameOf(cover)}, {plan.steps[cover]?.[step]?.name ?? step}: {sayWhyUnplaced(why)}
          </li>
        ))}
      </ul>
    </div>
  )
}

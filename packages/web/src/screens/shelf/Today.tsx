import { dueReminders, type ShelfEntry } from '@snowdrift/core'
import { Link } from 'react-router'
import { useMakesQuery } from '../../api/log-api'
import { today } from '../../views/own-clock'
import { lower } from '../../views/lower'
import { sayDue } from './say-due'

const soonDays = 14
const mostLines = 5

/** What waits for whom: what is wanted soon, what lies on the bench, what is to be seen to. */
export default function Today({ entries }: { readonly entries: readonly ShelfEntry[] }) {
  const { data: makes = [] } = useMakesQuery()
  const day = today()
  const lines = [...wanted(entries, day), ...onTheBench(entries), ...toSeeTo(makes, day)].slice(0, mostLines)
  if (lines.length === 0) return null
  return (
    <section aria-label="Today" className="mb-6 border-l-3 border-thread py-1 pl-4" data-today>
      <ul className="grid gap-0.5">
        {lines.map(({ key, to, name, words }) => (
          <li key={key}>
            <Link className="group text-ink no-underline" to={to}>
              <span className="font-medium underline-offset-2 group-hover:underline">{name}</span>{' '}
              <span className="text-soft">{words}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}

interface Line {
  readonly key: string
  readonly to: string
  readonly name: string
  readonly words: string
}

const nameOf = ({ name }: Pick<ShelfEntry, 'name'>) => name || 'Cover without a name'

function wanted(entries: readonly ShelfEntry[], day: string): readonly Line[] {
  const soon = new Date(Date.parse(day) + soonDays * 86_400_000).toISOString().slice(0, 10)
  return entries
    .filter(
      ({ due, state, archived }) =>
        due !== null && due <= soon && !archived && state !== 'made' && state !== 'worn',
    )
    .toSorted((one, other) => ((one.due ?? '') < (other.due ?? '') ? -1 : 1))
    .map(entry => ({
      key: `due ${entry.id}`,
      to: entry.state === 'bench' ? `/covers/${entry.id}/bench` : '/time',
      name: nameOf(entry),
      words: sayDue(entry.due ?? ''),
    }))
}

function onTheBench(entries: readonly ShelfEntry[]): readonly Line[] {
  return entries
    .filter(({ state, due, archived }) => state === 'bench' && due === null && !archived)
    .map(entry => ({
      key: `bench ${entry.id}`,
      to: `/covers/${entry.id}/bench`,
      name: nameOf(entry),
      words: 'lies on the bench',
    }))
}

function toSeeTo(makes: Parameters<typeof dueReminders>[0], day: string): readonly Line[] {
  return dueReminders(makes, day).map(({ make, reminder }) => ({
    key: reminder.id,
    to: make.coverId === null ? '/log' : `/covers/${make.coverId}/log`,
    name: make.log.name || 'Cover without a name',
    words: lower(reminder.what),
  }))
}

import { formatMoment, type Moment } from '@snowdrift/core'
import { DndContext, PointerSensor, useSensor, useSensors, type DragEndEvent } from '@dnd-kit/core'
import { CalendarPlus } from 'lucide-react'
import { useCallback, useMemo, useState } from 'react'
import { useShelfQuery } from '../../api/log-api'
import { describeError } from '../../api/describe-error'
import { Button } from '../../parts/Button'
import { download } from '../../parts/download'
import { RunProgress } from '../../parts/RunProgress'
import { useMarks } from '../../views/use-mark'
import { usePageTitle } from '../../views/use-page-title'
import type { CoverToMake } from '../../workers/schedule-protocol'
import type { WorkSession } from '@snowdrift/core'
import { CoversToMake } from './CoversToMake'
import { Outcome } from './Outcome'
import { SessionCard } from './SessionCard'
import { SheetsOfAll } from './SheetsOfAll'
import { WhenIWork } from './WhenIWork'
import { groupByCover } from './session-groups'
import { useTimePlan } from './use-time-plan'
import { helpsFor } from './what-helps'

const shownAtFirst = 12

/** What is made when: the covers to make, the sessions there are, and the plan that fills them. */
export function Screen() {
  usePageTitle('Time')
  const { data: shelf, error } = useShelfQuery(undefined, { refetchOnMountOrArgChange: true })
  const marks = useMarks()
  const failed = error ?? marks.error
  const planned = useMemo(() => shelf?.filter(entry => entry.planned).map(({ id }) => id) ?? [], [shelf])
  return (
    <main className="mx-auto grid w-full max-w-6xl gap-8 px-4 py-8 sm:px-8">
      <h1 className="text-3xl font-semibold tracking-tight">Time</h1>
      {failed !== undefined && <p role="alert">{describeError(failed)}</p>}
      {!shelf && !error && <p className="text-soft">Fetching the shelf …</p>}
      {shelf && (
        <div className="grid gap-10 lg:grid-cols-[minmax(18rem,4fr)_8fr]">
          <div className="grid content-start gap-8 max-lg:order-2">
            <CoversToMake shelf={shelf} marks={marks} />
            <WhenIWork />
          </div>
          {planned.length === 0 ? (
            <p className="max-w-md border-l-3 border-thread py-1 pl-4">
              Take a cover into the plan, say by when it is wanted, and its steps find their evenings: waits
              are filled with other work, and the machine is threaded once for several covers.
            </p>
          ) : (
            !marks.isLoading && <Plan ids={planned} marks={marks} />
          )}
        </div>
      )}
    </main>
  )
}

interface PlanProps {
  readonly ids: readonly string[]
  readonly marks: ReturnType<typeof useMarks>
}

function Plan({ ids, marks }: PlanProps) {
  const [missed, setMissed] = useState<readonly Moment[]>([])
  const [isAll, setAll] = useState(false)
  const otherwiseOf = useCallback(
    (covers: readonly CoverToMake[], sessions: readonly WorkSession[], from: Moment) => [
      ...missed.map(start => ({
        key: missedKey(start),
        sessions: sessions.filter(session => session.start !== start),
      })),
      ...helpsFor(covers, sessions, from).map(({ words: _, ...help }) => help),
    ],
    [missed],
  )
  const plan = useTimePlan({ ids, markOf: marks.of, otherwiseOf })
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }))
  if (!plan?.schedule) return <p className="text-soft">Looking for the best order …</p>
  const { schedule, covers, steps } = plan
  const withWork = schedule.sessions.filter(({ items }) => items.length > 0)
  const shown = isAll ? withWork : withWork.slice(0, shownAtFirst)

  /** Everything of a cover that lies in one session begins no sooner than another; the rest flows. */
  const putOff = async (cover: string, from: Moment, to: Moment) => {
    const session = schedule.sessions.find(({ start }) => start === from)
    const group = groupByCover(session?.items ?? []).find(one => one.cover === cover)
    if (!group) return
    const moved = Object.fromEntries(group.steps.map(step => [step, formatMoment(to)]))
    await marks.change(cover, { notBefore: { ...marks.of(cover).notBefore, ...moved } })
  }
  const dropped = ({ active, over }: DragEndEvent) => {
    const from = active.data.current as { cover: string; start: Moment } | undefined
    const to = over?.data.current as { start: Moment } | undefined
    if (from && to && from.start !== to.start) void putOff(from.cover, from.start, to.start)
  }
  const save = async () => {
    const { writeIcs } = await import('./ics')
    download('sewing.ics', writeIcs({ schedule, covers, steps }, new Date()), 'text/calendar')
  }
  return (
    <div className="grid content-start gap-8">
      <Outcome plan={plan} schedule={schedule} marks={marks} />
      <div className="flex flex-wrap items-center gap-4">
        <Button disabled={withWork.length === 0} onClick={() => void save()}>
          <CalendarPlus className="size-4" aria-hidden /> Into my calendar
        </Button>
        <SheetsOfAll ids={ids} />
        <span className="flex h-8 items-center gap-3 text-sm text-soft">
          <RunProgress
            progress={plan.progress}
            label="Plans tried"
            onStop={plan.stop}
            stopped="Stopped at the best so far."
            done="Nothing better was found."
          />
        </span>
      </div>
      <DndContext sensors={sensors} onDragEnd={dropped}>
        <ol className="grid gap-5" aria-label="Sessions">
          {shown.map((session, index) => (
            <SessionCard
              key={session.start}
              session={session}
              plan={plan}
              later={schedule.sessions.find(({ start }) => start > session.start)?.start}
              isFirst={index === 0}
              isMissed={missed.includes(session.start)}
              without={plan.otherwise[missedKey(session.start)]}
              onMiss={isMissed =>
                setMissed(before =>
                  isMissed ? [...before, session.start] : before.filter(start => start !== session.start),
                )
              }
              onPutOff={(cover, to) => void putOff(cover, session.start, to)}
            />
          ))}
        </ol>
      </DndContext>
      {withWork.length > shown.length && (
        <Button onClick={() => setAll(true)}>{withWork.length - shown.length} sessions more</Button>
      )}
    </div>
  )
}

const missedKey = (start: Moment) => `missed ${start}`

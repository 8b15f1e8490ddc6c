import type { Moment, Schedule } from '@snowdrift/core'
import { useDraggable, useDroppable } from '@dnd-kit/core'
import { ArrowRight, GripVertical } from 'lucide-react'
import { Link } from 'react-router'
import { Button } from '../../parts/Button'
import { capital } from '../../views/capital'
import { sayDate, sayDuration, sayLate, sayTime } from '../../views/day-words'
import { placeWords } from '../bench/step-words'
import { groupByCover, groupByPlace, type CoverInSession } from './session-groups'
import type { TimePlan } from './use-time-plan'

interface SessionCardProps {
  readonly session: Schedule['sessions'][number]
  readonly plan: TimePlan
  /** When the session behind it begins; undefined for the last. */
  readonly later: Moment | undefined
  readonly isFirst: boolean
  readonly isMissed: boolean
  /** What becomes of it all without this session, once that is known. */
  readonly without: Schedule | undefined
  readonly onMiss: (isMissed: boolean) => void
  readonly onPutOff: (cover: string, to: Moment) => void
}

/** One session: the covers that are worked on, each to be put off by hand, and every step in its order. */
export function SessionCard(props: SessionCardProps) {
  const { session, plan, later, isFirst, isMissed, without, onMiss, onPutOff } = props
  const { start, items } = session
  const { setNodeRef, isOver } = useDroppable({ id: `session ${start}`, data: { start } })
  const last = items.at(-1)
  const end = start + (last ? last.from + last.minutes : 0)
  const work = items.reduce((sum, { minutes }) => sum + minutes, 0)
  const setUp = items.reduce((sum, item) => sum + item.setUp, 0)
  return (
    <li
      ref={setNodeRef}
      data-session={start}
      className={`grid gap-2 border-l-3 py-1 pl-4 ${isOver ? 'border-thread bg-thread-soft' : isFirst ? 'border-thread' : 'border-rule'}`}
    >
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h3 className="text-lg font-semibold">
          {sayDate(start)}, {sayTime(start)} to {sayTime(end)}
        </h3>
        <span className="text-soft">
          {sayDuration(work)} of work, {sayDuration(setUp)} of setting up
        </span>
        <span className="flex-1" />
        <Button small look="quiet" aria-pressed={isMissed} onClick={() => onMiss(!isMissed)}>
          {isMissed ? 'I will be there' : 'If I miss it?'}
        </Button>
      </div>
      {isMissed && <WithoutIt plan={plan} without={without} />}
      <ul className="flex flex-wrap gap-2">
        {groupByCover(items).map(group => (
          <Chip key={group.cover} group={group} start={start} plan={plan} later={later} onPutOff={onPutOff} />
        ))}
      </ul>
      <details open={isFirst}>
        <summary className="cursor-pointer text-sm text-soft">
          {items.length} {items.length === 1 ? 'step' : 'steps'}, one by one
        </summary>
        <ul className="mt-2 grid gap-3">
          {groupByPlace(items).map(({ place, items: some }, index) => (
            <li key={index}>
              <p className="text-sm font-semibold">{capital(placeWords[place])}</p>
              <ol className="grid gap-0.5">
                {some.map(({ cover, copy, step, from, minutes }) => (
                  <li
                    key={`${cover} ${copy} ${step} ${from}`}
                    className="grid grid-cols-[3.5rem_1fr_auto] gap-2"
                  >
                    <span className="text-soft tabular-nums">{sayTime(start + from)}</span>
                    <span>
                      <Link className="text-ink" to={`/covers/${cover}/bench?step=${step}`}>
                        {plan.steps[cover]?.[step]?.name ?? step}
                      </Link>
                      <span className="text-soft">
                        {' '}
                        · {nameOf(plan, cover)}
                        {copy > 1 && `, copy ${copy}`}
                      </span>
                    </span>
                    <span className="text-soft tabular-nums">{Math.max(1, Math.round(minutes))} min</span>
                  </li>
                ))}
              </ol>
            </li>
          ))}
        </ul>
      </details>
    </li>
  )
}

function nameOf({ covers }: TimePlan, id: string): string {
  return covers.find(cover => cover.id === id)?.file.name || 'A cover'
}

interface ChipProps {
  readonly group: CoverInSession
  readonly start: Moment
  readonly plan: TimePlan
  readonly later: Moment | undefined
  readonly onPutOff: (cover: string, to: Moment) => void
}

/** What of a cover is done in the session: dragged into another, or put off into the next with a press. */
function Chip({ group: { cover, steps, minutes }, start, plan, later, onPutOff }: ChipProps) {
  const { setNodeRef, listeners, transform, isDragging } = useDraggable({
    id: `${cover} ${start}`,
    data: { cover, start },
  })
  const name = nameOf(plan, cover)
  return (
    <li
      ref={setNodeRef}
      className={`flex items-center rounded-md border border-rule bg-surface text-sm ${isDragging ? 'relative z-20 shadow-md' : ''}`}
      style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
    >
      <span className="flex cursor-grab touch-none items-center gap-1 py-1 pl-1.5" {...listeners}>
        <GripVertical className="size-3.5 text-soft" aria-hidden />
        {name}: {steps.length} {steps.length === 1 ? 'step' : 'steps'}, {sayDuration(minutes)}
      </span>
      {later !== undefined && (
        <button
          className="grid size-7 place-items-center text-soft hover:text-ink"
          aria-label={`Put ${name} off from ${sayDate(start)} to the session after`}
          title="Put off to the session after"
          onClick={() => onPutOff(cover, later)}
        >
          <ArrowRight className="size-4" aria-hidden />
        </button>
      )}
    </li>
  )
}

/** What slips where the session is missed. */
function WithoutIt({ plan, without }: { readonly plan: TimePlan; readonly without: Schedule | undefined }) {
  const now = plan.schedule
  if (!without || !now) return <p className="text-sm text-soft">Looking what slips …</p>
  const slips = Object.entries(without.finish).flatMap(([cover, end]) => {
    const before = now.finish[cover]
    return before !== undefined && end > before + 1 ? [{ cover, end, by: end - before }] : []
  })
  const newlyLate = without.late.filter(({ cover }) => !now.late.some(one => one.cover === cover))
  return (
    <div className="text-sm" role="status" data-without>
      {slips.length === 0 && <p>Nothing slips: all is done as early as with it.</p>}
      <ul>
        {slips.map(({ cover, end, by }) => (
          <li key={cover}>
            {nameOf(plan, cover)} is done {sayLate(by)} later, on {sayDate(end)}.
          </li>
        ))}
        {newlyLate.map(({ cover, minutes }) => (
          <li key={`late ${cover}`} className="font-semibold text-caution">
            {nameOf(plan, cover)} would be {sayLate(minutes)} late.
          </li>
        ))}
      </ul>
    </div>
  )
}

import type { CoverRow, Schedule } from '@snowdrift/core'
import { createEvents, type EventAttributes } from 'ics'
import { sequenceAt, utcDate } from '../../views/calendar'
import type { StepsOfCover } from '../../workers/schedule-protocol'
import { groupByPlace } from './session-groups'
import { placeWords } from '../bench/step-words'

interface PlanToWrite {
  readonly schedule: Schedule
  readonly covers: readonly CoverRow[]
  readonly steps: Readonly<Record<string, StepsOfCover>>
}

/**
 * The sessions that have work as iCalendar (RFC 5545), one event each, on the maker’s own clock. A session keeps its
 * name, so that a calendar that takes a later plan in again has no session twice.
 */
export function writeIcs({ schedule, covers, steps }: PlanToWrite, at: Date): string {
  const nameOf = (id: string) => covers.find(cover => cover.id === id)?.file.name ?? 'A cover'
  const events = schedule.sessions
    .filter(({ items }) => items.length > 0)
    .map(({ start, items }): EventAttributes => {
      const last = items.at(-1)
      const length = last ? last.from + last.minutes : 0
      const names = [...new Set(items.map(({ cover }) => nameOf(cover)))]
      return {
        uid: `session-${new Date(start * 60_000).toISOString().slice(0, 16)}@snowdrift`,
        sequence: sequenceAt(at),
        productId: 'snowdrift',
        title: `Sewing: ${names.join(', ')}`,
        description: groupByPlace(items)
          .map(
            ({ place, items: some }) =>
              `${placeWords[place]}: ${some
                .map(({ cover, step }) => `${nameOf(cover)}, ${steps[cover]?.[step]?.name ?? step}`)
                .join('; ')}`,
          )
          .join('\n'),
        start: utcDate(new Date(start * 60_000)),
        startInputType: 'local',
        startOutputType: 'local',
        duration: { hours: Math.floor(length / 60), minutes: Math.ceil(length % 60) },
      }
    })
  const { error, value } = createEvents(events)
  if (error || !value) throw error ?? new Error('The calendar is empty')
  return value
}

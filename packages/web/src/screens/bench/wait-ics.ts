import { createEvent } from 'ics'
import { sequenceAt, utcDate } from '../../views/calendar'

interface WaitToRing {
  readonly cover: string
  readonly step: string
  readonly name: string
  readonly endsAt: string
}

/**
 * The end of a wait as iCalendar (RFC 5545) with an alarm: a calendar rings where no window is open any more. The same
 * wait keeps its name, so that taken in again it is moved, not doubled.
 */
export function writeWaitIcs({ cover, step, name, endsAt }: WaitToRing, at: Date): string {
  const end = nextMinute(new Date(endsAt))
  const { error, value } = createEvent({
    uid: `wait-${step.replace(/[^\w-]/g, '-')}-${cover.replace(/[^\w-]/g, '-')}@snowdrift`,
    sequence: sequenceAt(at),
    productId: 'snowdrift',
    title: `Ready: ${name}`,
    description: cover,
    start: utcDate(end),
    startInputType: 'utc',
    startOutputType: 'utc',
    duration: { minutes: 5 },
    // In words of its own: the package escapes a title, but not what an alarm says.
    alarms: [{ action: 'display', description: 'A wait is over', trigger: end.getTime() }],
  })
  if (error || !value) throw error ?? new Error('The calendar is empty')
  return value
}

/** No earlier than its end: calendars know no seconds. */
function nextMinute(at: Date): Date {
  return new Date(Math.ceil(at.getTime() / 60_000) * 60_000)
}

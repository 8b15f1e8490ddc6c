import type { Moment, WorkSession } from './request.js'

/** Minutes of a day, from midnight. */
export interface Hours {
  readonly from: number
  readonly to: number
}

/** When the maker works in a usual week; 0 is Sunday. */
export interface WeeklyHours extends Hours {
  readonly weekday: number
}

/** A day that is not as usual: hours beside the usual ones, or none at all. */
export interface Exception {
  /** An ISO day. */
  readonly day: string
  /** Undefined where nothing is worked on that day. */
  readonly hours?: Hours
}

export type ReadHours<Value> =
  { readonly ok: true; readonly value: readonly Value[] } | { readonly ok: false; readonly message: string }

const weekdays = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat']
const minutesADay = 24 * 60

/** Reads `Tue 19:00–21:00, Sat 2 pm – 5 pm`; of nothing, no hours. */
export function parseWeeklyHours(text: string): ReadHours<WeeklyHours> {
  return readEach(
    text,
    part => {
      const [, day = '', rest = ''] = /^([a-z]+)\s*(.*)$/i.exec(part) ?? []
      const weekday = weekdays.indexOf(day.slice(0, 3).toLowerCase())
      if (weekday < 0 || day.length < 2) return `“${part}” does not begin with a day: write Tue 19:00–21:00.`
      const hours = parseHours(rest)
      return typeof hours === 'string' ? `“${part}”: ${hours}` : { weekday, ...hours }
    },
    overlapOfWeek,
  )
}

/** Reads `2026-12-24 off, 2026-12-26 10:00–12:00`; of nothing, none. */
export function parseExceptions(text: string): ReadHours<Exception> {
  return readEach(text, part => {
    const [, day = '', rest = ''] = /^(\d{4}-\d{2}-\d{2})\s*(.*)$/.exec(part) ?? []
    if (!isDay(day)) return `“${part}” does not begin with a day: write 2026-12-24 off.`
    if (/^off$/i.test(rest)) return { day }
    const hours = parseHours(rest)
    return typeof hours === 'string' ? `“${part}”: ${hours}` : { day, hours }
  })
}

function isDay(text: string): boolean {
  const at = Date.parse(`${text}T00:00:00Z`)
  return !Number.isNaN(at) && new Date(at).toISOString().startsWith(text)
}

function readEach<Value extends object>(
  text: string,
  read: (part: string) => Value | string,
  check: (values: readonly Value[]) => string | undefined = () => undefined,
): ReadHours<Value> {
  const parts = text.split(/[,;\n]/).map(part => part.trim())
  const values: Value[] = []
  for (const part of parts.filter(said => said !== '')) {
    const value = read(part)
    if (typeof value === 'string') return { ok: false, message: value }
    values.push(value)
  }
  const message = check(values)
  return message === undefined ? { ok: true, value: values } : { ok: false, message }
}

const clock = String.raw`(\d{1,2})(?:[:.](\d{2}))?\s*(am|pm)?`
const span = new RegExp(`^${clock}\\s*(?:-|–|to)\\s*${clock}$`, 'i')

function parseHours(text: string): Hours | string {
  const found = span.exec(text.trim())
  if (!found) return 'expected a time from and to, such as 19:00–21:00.'
  const [, hour, minute, half, endHour, endMinute, endHalf] = found
  const to = minutesOf(endHour, endMinute, endHalf)
  const from = minutesOf(hour, minute, half)
  if (from === undefined || to === undefined) return 'there is no such time.'
  return from < to ? { from, to } : 'it ends before it begins.'
}

function minutesOf(hour = '', minute = '0', half?: string): number | undefined {
  const hours = half === undefined ? Number(hour) : (Number(hour) % 12) + (/pm/i.test(half) ? 12 : 0)
  const minutes = 60 * hours + Number(minute)
  const isReal = Number(minute) < 60 && minutes <= minutesADay && (half === undefined || Number(hour) <= 12)
  return isReal ? minutes : undefined
}

function overlapOfWeek(hours: readonly WeeklyHours[]): string | undefined {
  const clash = hours.find((one, at) =>
    hours.some(
      (other, index) =>
        index < at && other.weekday === one.weekday && other.from < one.to && one.from < other.to,
    ),
  )
  return clash && `Two sessions on ${weekdays[clash.weekday] ?? ''} overlap.`
}

/**
 * The sessions of so many days from a moment on: usual weeks, without the days that are off, with what is worked beside.
 * One that is under way counts from the moment on; what overlaps is one session.
 */
export function sessionsFrom(
  weekly: readonly WeeklyHours[],
  exceptions: readonly Exception[],
  { from, days }: { readonly from: Moment; readonly days: number },
): readonly WorkSession[] {
  const first = Math.floor(from / minutesADay)
  const spans = Array.from({ length: days }, (_, at) => first + at).flatMap(day => {
    const name = new Date(day * minutesADay * 60_000).toISOString().slice(0, 10)
    const own = exceptions.filter(exception => exception.day === name)
    const isOff = own.some(({ hours }) => hours === undefined)
    // the first of January 1970 was a Thursday
    const usual = isOff ? [] : weekly.filter(({ weekday }) => weekday === (day + 4) % 7)
    return [...usual, ...own.flatMap(({ hours }) => hours ?? [])].map(hours => ({
      start: Math.max(from, day * minutesADay + hours.from),
      end: day * minutesADay + hours.to,
    }))
  })
  const sorted = spans.filter(({ start, end }) => start < end).sort((one, other) => one.start - other.start)
  const whole: { start: number; end: number }[] = []
  for (const { start, end } of sorted) {
    const last = whole.at(-1)
    if (last && start <= last.end) last.end = Math.max(last.end, end)
    else whole.push({ start, end })
  }
  return whole.map(({ start, end }) => ({ start, minutes: end - start }))
}

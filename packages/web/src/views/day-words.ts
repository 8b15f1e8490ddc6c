const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
]
const weekdays = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday']

/** “29 November 2026”. */
export function sayDay(day: string): string {
  const [year = '', month = '1', date = '1'] = day.split('-')
  return `${Number(date)} ${months[Number(month) - 1] ?? ''} ${year}`
}

/** “Tuesday 1 December” of a moment in minutes of the maker’s own clock. */
export function sayDate(moment: number): string {
  const at = new Date(moment * 60_000)
  return `${weekdays[at.getUTCDay()] ?? ''} ${at.getUTCDate()} ${months[at.getUTCMonth()] ?? ''}`
}

/** “19:05”, to the whole minute. */
export function sayTime(moment: number): string {
  return new Date(Math.round(moment) * 60_000).toISOString().slice(11, 16)
}

/** “2 h 05”, “40 min”. */
export function sayDuration(minutes: number): string {
  const whole = Math.round(minutes)
  if (whole < 60) return `${whole} min`
  return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

/** “2 days”, “3 h”: how late something is. */
export function sayLate(minutes: number): string {
  if (minutes < 90) return `${Math.ceil(minutes)} min`
  if (minutes < 48 * 60) return `${Math.round(minutes / 60)} h`
  return `${Math.round(minutes / 1440)} days`
}

import type { Moment } from '../make/schedule/request.js'

/** A moment as it was written: minutes of that clock, and the clock’s offset where one was named. */
export interface ReadMoment {
  readonly moment: Moment
  /** Minutes east of Greenwich; undefined for the maker’s own clock. */
  readonly offset?: number
  /** Only a day was written; the moment is its beginning. */
  readonly isDay: boolean
}

const form = /^(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?(Z|[+-]\d{2}:?\d{2})?)?$/

/** Reads `2026-12-20`, `2026-12-01T19:00`, with a zone or without; undefined where there is no such moment. */
export function parseMoment(text: string): ReadMoment | undefined {
  const found = form.exec(text.trim())
  if (!found) return undefined
  const [year, month, day, hour, minute, second] = (found.slice(1, 7) as (string | undefined)[]).map(part =>
    Number(part ?? 0),
  )
  const at = Date.UTC(year ?? 0, (month ?? 1) - 1, day, hour, minute, second)
  const back = new Date(at)
  const isReal =
    back.getUTCMonth() + 1 === month &&
    back.getUTCDate() === day &&
    (hour ?? 0) < 24 &&
    (minute ?? 0) < 60 &&
    (second ?? 0) < 60
  if (!isReal) return undefined
  const zone = found[7]
  const offset = zone === undefined ? undefined : parseOffset(zone)
  return {
    moment: at / 60_000,
    isDay: found[4] === undefined,
    ...(offset !== undefined && { offset }),
  }
}

function parseOffset(zone: string): number {
  if (zone === 'Z') return 0
  const [hours, minutes] = [Number(zone.slice(1, 3)), Number(zone.slice(-2))]
  return (zone.startsWith('-') ? -1 : 1) * (60 * hours + minutes)
}

/** `2026-12-03T20:10`, to the next whole minute, with the zone of the offset where there is one. */
export function formatMoment(moment: Moment, offset?: number): string {
  const text = new Date(Math.ceil(moment - 1e-6) * 60_000).toISOString().slice(0, 16)
  return offset === undefined ? text : text + formatOffset(offset)
}

function formatOffset(offset: number): string {
  const two = (part: number) => String(Math.floor(part)).padStart(2, '0')
  const size = Math.abs(offset)
  return `${offset < 0 ? '-' : '+'}${two(size / 60)}:${two(size % 60)}`
}

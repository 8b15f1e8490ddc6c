import { roleWords, type CoverFile, type Moment, type Role, type WorkSession } from '@snowdrift/core'
import { lower } from '../../views/lower'
import type { CoverToMake, Otherwise } from '../../workers/schedule-protocol'

/** Something that may bring late covers in, and how it is said. */
export interface Help extends Otherwise {
  readonly words: string
}

const minutesADay = 1440
/** Nobody works at another hour than this for want of a better. */
const usualEvening = { from: 19 * 60, minutes: 120 }

/** One session more, on the first free day; and of covers that have a date, what can be done without. */
export function helpsFor(
  covers: readonly CoverToMake[],
  sessions: readonly WorkSession[],
  from: Moment,
): readonly Help[] {
  const dated = covers.filter(({ due }) => due !== undefined)
  if (dated.length === 0 || sessions.length === 0) return []
  return [
    {
      key: 'help session',
      words: 'one session more, on the first evening that is free',
      sessions: withOneMore(sessions, from),
    },
    ...dated.flatMap(cover => simplerOf(cover, covers)),
  ].slice(0, mostHelps)
}

/** Each is tried for a moment. */
const mostHelps = 8

/** The sessions with another on the first evening to come that has none. */
export function withOneMore(sessions: readonly WorkSession[], from: Moment): readonly WorkSession[] {
  const busy = new Set(sessions.map(({ start }) => Math.floor(start / minutesADay)))
  let day = Math.floor(from / minutesADay)
  while (busy.has(day) || day * minutesADay + usualEvening.from < from) day += 1
  const more = { start: day * minutesADay + usualEvening.from, minutes: usualEvening.minutes }
  return [...sessions, more].sort((one, other) => one.start - other.start)
}

function simplerOf(cover: CoverToMake, covers: readonly CoverToMake[]): readonly Help[] {
  const { file } = cover
  const name = file.name || 'the cover'
  const instead = (key: string, words: string, simpler: CoverFile): Help => ({
    key: `help ${cover.id} ${key}`,
    words,
    covers: covers.map(one => (one.id === cover.id ? { ...one, file: simpler } : one)),
  })
  const padding = file.layers.some(({ role }) => role === 'padding')
    ? [
        instead(
          'padding',
          `${name} without its ${roleWords.padding.toLowerCase()}`,
          withoutLayer(file, 'padding'),
        ),
      ]
    : []
  const bought = (file.extras ?? []).flatMap(({ type }, index) =>
    madeOfCloth.has(type)
      ? [
          instead(
            `extra ${index}`,
            `${name}: buy ribbon or elastic instead of sewing its ${lower(type.replaceAll('-', ' '))}`,
            { ...file, extras: (file.extras ?? []).filter((_, at) => at !== index) },
          ),
        ]
      : [],
  )
  return [...padding, ...bought]
}

/** What is sewn of strips and can be bought as ribbon, elastic or webbing. */
const madeOfCloth: ReadonlySet<string> = new Set(['tie-pair', 'loop-button', 'handles', 'strap', 'tab-snap'])

function withoutLayer(file: CoverFile, role: Role): CoverFile {
  return { ...file, layers: file.layers.filter(layer => layer.role !== role) }
}

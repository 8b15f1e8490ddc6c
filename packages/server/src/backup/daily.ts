import { mkdir, readdir, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { backUp } from './back-up.js'

const nameOf = (day: string) => `snowdrift-${day}.backup`
const named = /^snowdrift-(\d{4}-\d\d-\d\d)\.backup$/
const daysKept = 7
/** Whoever starts it wants to work first. */
const firstAfterMs = 5 * 60_000
const everyMs = 3_600_000

/** What is to be written and what has served its time; names that are not of these backups are left alone. */
export function planDaily(
  names: readonly string[],
  today: string,
): { readonly write?: string; readonly drop: readonly string[] } {
  const days = names.flatMap(name => named.exec(name)?.[1] ?? []).toSorted()
  const hasToday = days.includes(today)
  const kept = new Set((hasToday ? days : [...days, today]).slice(-daysKept))
  return {
    ...(!hasToday && { write: nameOf(today) }),
    drop: days.filter(day => !kept.has(day)).map(nameOf),
  }
}

interface DailyOptions {
  /** Where they lie: beside the data. */
  readonly folder: string
  readonly url: string
  readonly now: () => Date
  readonly tell: (news: string) => void
}

/** Backs up once a day while it runs, and keeps a week of them. Gives what ends it, once what it has begun is done. */
export function keepDaily({ folder, url, now, tell }: DailyOptions): () => Promise<void> {
  let working = Promise.resolve()
  const work = async () => {
    await mkdir(folder, { recursive: true, mode: 0o700 })
    const { write, drop } = planDaily(await readdir(folder), now().toISOString().slice(0, 10))
    // What is old goes only once what is new is there.
    if (write !== undefined) await backUp(url, join(folder, write))
    for (const name of drop) await rm(join(folder, name), { force: true })
  }
  const turn = () => {
    working = working.then(work).catch((error: unknown) => {
      tell(`Today’s backup could not be made: ${(error as Error).message} It is tried again within the hour.`)
    })
  }
  const first = setTimeout(turn, firstAfterMs)
  const every = setInterval(turn, everyMs)
  for (const timer of [first, every]) timer.unref()
  return async () => {
    clearTimeout(first)
    clearInterval(every)
    await working
  }
}

import type { Block, Instance, Task } from './instance.js'

/** Work in a session: `from` is where it begins, after its set-up and whatever idle time lies before. */
export interface Entry {
  readonly task: number
  readonly session: number
  readonly from: number
  readonly minutes: number
  readonly setUp: number
  readonly idle: number
}

/** Where the maker stands: how much of which session is used, at what place last, and where there was work in it. */
interface Standing {
  readonly session: number
  readonly used: number
  readonly place: number
  readonly seen: number
}

/**
 * Work placed one after the other, each as early as the rules allow after what was placed before. It can be taken back
 * to any count of entries.
 */
export interface Timetable {
  readonly entries: readonly Entry[]
  /** When each task ended; undefined while it is not placed. */
  readonly ends: readonly (number | undefined)[]
  standing(): Standing
  /** Places a block, in the current session or the first one after it that takes it. False where none does. */
  place(block: Block, from?: number): boolean
  /** Where a task would go if it were placed now in this session; undefined where it goes into a later one. */
  look(task: Task): { readonly setUp: number; readonly idle: number } | undefined
  mark(): Mark
  takeBack(mark: Mark): void
}

export interface Mark {
  readonly entries: number
  readonly standing: Standing
}

const atStart: Standing = { session: 0, used: 0, place: -1, seen: 0 }

/** Whole minutes, in hundredths. */
const wholeMinute = 100

export function createTimetable(instance: Instance): Timetable {
  const { tasks, sessions, firstSetUp, comingBack } = instance
  const entries: Entry[] = []
  const ends: (number | undefined)[] = tasks.map(() => undefined)
  let now = atStart

  const setUpOf = (place: number) => {
    if (now.place === place) return 0
    return (now.seen >> place) & 1 ? comingBack : (firstSetUp[place] ?? 0)
  }

  /** When it may start at the earliest, and must at the latest, by what it needs. */
  const span = (task: Task) => {
    let earliest = task.notBefore
    let latest = Infinity
    for (const need of task.needs) {
      const { wait, within } = tasks[need] as Task
      const from = (ends[need] ?? Infinity) + wait
      if (from > earliest) earliest = from
      if (within !== undefined && from + within < latest) latest = from + within
    }
    if (task.within !== undefined) earliest = Math.max(earliest, keptWaiting(task))
    return { earliest, latest }
  }

  /** What must follow at once should not have to wait for others: then this one waits. */
  const keptWaiting = ({ index, minutes, wait, within = 0, neededBy }: Task) => {
    let earliest = -Infinity
    for (const next of neededBy)
      for (const other of (tasks[next] as Task).needs) {
        const end = ends[other]
        if (other === index || end === undefined) continue
        earliest = Math.max(earliest, end + (tasks[other] as Task).wait - within - wait - minutes)
      }
    return earliest
  }

  const goTo = (session: number) => {
    now = { session, used: 0, place: -1, seen: 0 }
  }

  const put = (task: Task, workAt: number, minutes: number, setUp: number) => {
    const { start } = sessions[now.session] as { start: number }
    entries.push({
      task: task.index,
      session: now.session,
      from: workAt,
      minutes,
      setUp,
      idle: workAt - setUp - now.used,
    })
    ends[task.index] = start + workAt + minutes
    now = {
      session: now.session,
      used: workAt + minutes,
      place: task.place,
      seen: now.seen | (1 << task.place),
    }
  }

  const fits = (task: Task, earliest: number) => {
    const { start, length } = sessions[now.session] as { start: number; length: number }
    const setUp = setUpOf(task.place)
    const workAt = Math.max(now.used + setUp, earliest - start)
    return { setUp, workAt, start, room: length - workAt }
  }

  /** One task, here or later; false where no session takes it, or what it must follow is over too long. */
  const placeOne = (task: Task): boolean => {
    const { earliest, latest } = span(task)
    if (earliest === Infinity) return false
    for (; now.session < sessions.length; goTo(now.session + 1)) {
      const { setUp, workAt, start, room } = fits(task, earliest)
      if (start + workAt > latest) return false
      if (room >= task.minutes) {
        put(task, workAt, task.minutes, setUp)
        return true
      }
      if (task.isSplit && room >= wholeMinute) return placeInParts(task, earliest)
    }
    return false
  }

  const placeInParts = (task: Task, earliest: number): boolean => {
    let left = task.minutes
    for (; now.session < sessions.length; goTo(now.session + 1)) {
      const { setUp, workAt, room } = fits(task, earliest)
      const part = room >= left ? left : Math.floor(room / wholeMinute) * wholeMinute
      if (part <= 0) continue
      put(task, workAt, part, setUp)
      left -= part
      if (left === 0) return true
    }
    return false
  }

  const takeBack = ({ entries: count, standing }: Mark) => {
    while (entries.length > count) {
      const taken = entries.pop()
      if (taken) ends[taken.task] = undefined
    }
    now = standing
  }

  const timetable: Timetable = {
    entries,
    ends,
    standing: () => now,
    mark: () => ({ entries: entries.length, standing: now }),
    takeBack,
    look: task => {
      if (now.session >= sessions.length) return undefined
      const { earliest, latest } = span(task)
      const { setUp, workAt, start, room } = fits(task, earliest)
      if (start + workAt > latest || (room < task.minutes && !(task.isSplit && room >= wholeMinute)))
        return undefined
      return { setUp, idle: workAt - setUp - now.used }
    },
    place: (block, from = now.session) => {
      const before = timetable.mark()
      if (from > now.session) goTo(from)
      const first = entries.length
      while (now.session < sessions.length) {
        const mark = timetable.mark()
        if (block.every(index => placeOne(tasks[index] as Task))) return true
        // where it begins later it may run through without a break
        const began = entries[first]?.session ?? now.session
        takeBack(mark)
        if (block.length === 1) break
        goTo(began + 1)
      }
      takeBack(before)
      return false
    },
  }
  return timetable
}

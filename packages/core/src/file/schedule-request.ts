import { z } from 'zod'
import { sayPlainly } from '../finding/say.js'
import { usualHands } from '../make/hands.js'
import { planSteps } from '../make/plan-steps.js'
import { roundMinutes } from '../make/minutes.js'
import { findCircle } from '../make/schedule/instance.js'
import type { ScheduleRequest, WorkSession, WorkToDo } from '../make/schedule/request.js'
import { stepKinds, workPlaces } from '../make/step.js'
import { plan } from '../plan/plan.js'
import { check, type ReadResult } from './check.js'
import type { Issue } from './issue.js'
import { formatMoment, parseMoment, type ReadMoment } from './moment.js'
import { readCover } from './read-cover.js'
import { show } from './schema-issues.js'

const limits = { covers: 500, copies: 100, sessions: 2000, tasks: 20_000, sessionMinutes: 1440 }

const id = z.string().trim().min(1).max(80)

/** What `schedule` reads, but for the cover files, which are read one by one. */
export const scheduleRequestSchema = z.strictObject({
  covers: z
    .array(
      z.strictObject({
        id,
        file: z.looseObject({}),
        copies: z.int().min(1).max(limits.copies).default(1),
        due: z.string().optional(),
        done: z.array(id).max(1000).default([]),
      }),
    )
    .min(1)
    .max(limits.covers),
  sessions: z
    .array(z.strictObject({ start: z.string(), minutes: z.number().positive().max(limits.sessionMinutes) }))
    .min(1)
    .max(limits.sessions),
  times: z.partialRecord(z.enum(stepKinds), z.number().min(0.1).max(10)).default({}),
  setUp: z.partialRecord(z.enum(workPlaces), z.number().min(0).max(240)).default({}),
  budgetMs: z.number().min(0).max(60_000).default(300),
  seed: z.int().min(0).max(Number.MAX_SAFE_INTEGER).default(1),
})

export interface ReadScheduleRequest {
  readonly request: ScheduleRequest
  readonly budgetMs: number
  /** Minutes east of Greenwich of the clock that the times are of; undefined for the maker’s own. */
  readonly offset?: number
}

type Input = z.infer<typeof scheduleRequestSchema>

/** Reads covers and sessions. Every problem names its place; nothing of a bad request is placed. */
export function readScheduleRequest(input: unknown): ReadResult<ReadScheduleRequest> {
  const read = check(scheduleRequestSchema, input)
  if (!read.ok) return read
  const { covers, sessions, times, setUp, budgetMs, seed } = read.value
  const clock = readClock(read.value)
  const work = covers.map((cover, index) => readWork(cover, `covers[${index}]`))
  const issues = [
    ...sameIds(covers),
    ...clock.issues,
    ...work.flatMap(one => (one.ok ? [] : one.issues)),
    ...(clock.issues.length === 0 ? checkSessions(sessions, clock.sessions, clock.offset) : []),
  ]
  const steps = work.reduce((sum, one) => sum + (one.ok ? one.value.copies * one.value.steps.length : 0), 0)
  if (steps > limits.tasks)
    issues.push({
      path: 'covers',
      message: `Expected at most ${limits.tasks} steps in all, found ${steps}. Plan them in parts.`,
    })
  if (issues.length > 0) return { ok: false, issues }
  return {
    ok: true,
    value: {
      request: {
        work: work.flatMap((one, index) => {
          const due = clock.due[index]
          return one.ok ? [{ ...one.value, ...(due !== undefined && { due }) }] : []
        }),
        sessions: [...clock.sessions].sort((one, other) => one.start - other.start),
        times: times,
        setUp: setUp,
        seed,
      },
      budgetMs,
      ...(clock.offset !== undefined && { offset: clock.offset }),
    },
  }
}

function readWork(
  { id: cover, file, copies, done }: Input['covers'][number],
  path: string,
): ReadResult<WorkToDo> {
  const read = readCover(file)
  if (!read.ok)
    return {
      ok: false,
      issues: read.issues.map(issue => ({
        ...issue,
        path: issue.path ? `${path}.file.${issue.path}` : `${path}.file`,
      })),
    }
  const { steps } = planSteps(read.value, plan(read.value), {
    say: sayPlainly(read.value.unit),
    hands: usualHands,
  })
  if (steps.length === 0)
    return {
      ok: false,
      issues: [
        { path: `${path}.file`, message: 'A piece of it comes out at nothing: it cannot be made so.' },
      ],
    }
  const known = new Set(steps.map(step => step.id))
  const issues = [
    ...done.flatMap((step, index) =>
      known.has(step)
        ? []
        : [
            {
              path: `${path}.done[${index}]`,
              message: `This cover has no step ${show(step)}. Known: ${[...known].join(', ')}.`,
            },
          ],
    ),
    ...circleIssues(steps, path),
  ]
  return issues.length > 0
    ? { ok: false, issues }
    : { ok: true, value: { cover, steps, copies, done: new Set(done) } }
}

/** Steps that need each other round in a circle are named; no order would do. */
function circleIssues(steps: WorkToDo['steps'], path: string): readonly Issue[] {
  const circle = findCircle({ steps })
  return circle.length === 0
    ? []
    : [{ path: `${path}.file`, message: `These steps need each other in a circle: ${circle.join(', ')}.` }]
}

interface Clock {
  readonly issues: Issue[]
  readonly sessions: readonly WorkSession[]
  readonly due: readonly (number | undefined)[]
  readonly offset?: number
}

/** All times on one clock: that of the first session. */
function readClock({ sessions, covers }: Input): Clock {
  const issues: Issue[] = []
  const read = (text: string, path: string): ReadMoment => {
    const moment = parseMoment(text)
    if (!moment)
      issues.push({
        path,
        message: `Expected a time like 2026-12-01T19:00, found ${show(text)}.`,
      })
    return moment ?? { moment: 0, isDay: false }
  }
  const starts = sessions.map(({ start }, index) => read(start, `sessions[${index}].start`))
  const offset = starts[0]?.offset
  const onClock = (one: ReadMoment, path: string) => {
    if (one.isDay) return one.moment
    if ((one.offset === undefined) !== (offset === undefined))
      issues.push({ path, message: 'Either all times have a zone or none has.' })
    return one.moment - (one.offset ?? 0) + (offset ?? 0)
  }
  for (const [index, start] of starts.entries())
    if (start.isDay && parseMoment(sessions[index]?.start ?? ''))
      issues.push({
        path: `sessions[${index}].start`,
        message: `Expected a day and a time like 2026-12-01T19:00, found ${show(sessions[index]?.start)}.`,
      })
  return {
    sessions: starts.map((start, index) => ({
      start: onClock(start, `sessions[${index}].start`),
      minutes: sessions[index]?.minutes ?? 0,
    })),
    due: covers.map(({ due }, index) => {
      if (due === undefined) return undefined
      const moment = read(due, `covers[${index}].due`)
      // a day means its end
      return onClock(moment, `covers[${index}].due`) + (moment.isDay ? 1440 : 0)
    }),
    issues,
    ...(offset !== undefined && { offset }),
  }
}

/** Nobody works in two sessions at once. */
function checkSessions(
  typed: Input['sessions'],
  sessions: readonly WorkSession[],
  offset: number | undefined,
): readonly Issue[] {
  const byStart = sessions
    .map((session, index) => ({ ...session, index }))
    .sort((one, other) => one.start - other.start)
  return byStart.flatMap(({ start, index }, at) => {
    const before = byStart[at - 1]
    if (!before || before.start + before.minutes <= start) return []
    const end = formatMoment(before.start + before.minutes, offset)
    const by = roundMinutes(before.start + before.minutes - start)
    return [
      {
        path: `sessions[${index}].start`,
        message: `This session begins ${by} min before the one of ${typed[before.index]?.start} ends, at ${end}. Sessions may not overlap.`,
      },
    ]
  })
}

function sameIds(covers: Input['covers']): readonly Issue[] {
  return covers.flatMap(({ id: own }, index) =>
    covers.findIndex(({ id: other }) => other === own) < index
      ? [
          {
            path: `covers[${index}].id`,
            message: `There is ${show(own)} already; each needs a name of its own.`,
          },
        ]
      : [],
  )
}

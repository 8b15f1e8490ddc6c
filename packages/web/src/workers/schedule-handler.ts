import {
  plan,
  planSteps,
  readCover,
  sayPlainly,
  schedule,
  schedules,
  type Hands,
  type ScheduleRequest,
  type Step,
} from '@snowdrift/core'
import type { CoverToMake, ScheduleJob, ScheduleReply, StepsOfCover } from './schedule-protocol'

/** How long what would be otherwise is worked on. */
const otherwiseMs = 80
/** A better plan is shown so often. */
const showEveryMs = 100

/** Plans the time of covers: better and better until the budget is spent; between any two replies it may be dropped. */
export function* answerSchedule(
  { id, covers, sessions, hands, seed, budgetMs, otherwise }: ScheduleJob,
  now: () => number = () => performance.now(),
): Generator<ScheduleReply> {
  const stepsOf = createStepPlanner(hands)
  const named: Record<string, StepsOfCover> = {}
  const notPlanned: string[] = []
  for (const cover of covers) {
    const steps = stepsOf(cover)
    if (!steps) notPlanned.push(cover.id)
    else
      named[cover.id] = Object.fromEntries(
        steps.map(({ id: step, name, place, minutes }) => [step, { name, place, minutes }]),
      )
  }
  yield { id, kind: 'steps', steps: named, notPlanned }
  const requestOf = (asked: readonly CoverToMake[], within: ScheduleJob['sessions']): ScheduleRequest => ({
    work: asked.flatMap(cover => {
      const steps = stepsOf(cover)
      return steps ? [workOf(cover, steps)] : []
    }),
    sessions: within,
    times: {},
    setUp: {},
    seed,
  })
  const began = now()
  let shownAt = -Infinity
  for (const better of schedules(requestOf(covers, sessions), () => now() - began >= budgetMs)) {
    const spent = now() - began
    if (spent - shownAt < showEveryMs && better.latestStart === undefined) continue
    shownAt = spent
    yield { id, kind: 'schedule', schedule: better, share: Math.min(1, spent / budgetMs) }
  }
  for (const { key, covers: other = covers, sessions: within = sessions } of otherwise)
    yield {
      id,
      kind: 'otherwise',
      key,
      schedule: schedule(requestOf(other, within), { budgetMs: otherwiseMs, now }),
    }
  yield { id, kind: 'done' }
}

function workOf({ id, copies, due, done, notBefore }: CoverToMake, steps: readonly Step[]) {
  return {
    cover: id,
    steps,
    copies,
    ...(due !== undefined && { due }),
    done: new Set(done),
    notBefore,
  }
}

/** The steps of a cover with the maker's own hands; the same file is planned once. */
function createStepPlanner(hands: Hands) {
  const known = new Map<object, readonly Step[] | undefined>()
  return ({ file }: CoverToMake): readonly Step[] | undefined => {
    if (known.has(file)) return known.get(file)
    const steps = stepsFor(file, hands)
    known.set(file, steps)
    return steps
  }
}

/** Undefined where it cannot be planned, or not be made: a piece comes out at nothing. */
function stepsFor(file: CoverToMake['file'], hands: Hands): readonly Step[] | undefined {
  const read = readCover(file)
  if (!read.ok) return undefined
  const { steps } = planSteps(read.value, plan(read.value), { say: sayPlainly(read.value.unit), hands })
  return steps.length > 0 ? steps : undefined
}

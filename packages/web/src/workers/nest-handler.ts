import { nest, nesting, weighPurchases, type Layout } from '@snowdrift/core'
import type { NestJob, NestReply, NestRequest } from './nest-protocol'

/** How long one job is worked on before the next has its turn. */
const turnMs = 25
/** Every way to buy is laid out for so long. */
const weighMs = 60

interface Running {
  readonly job: NestJob
  readonly search: Generator<Layout | undefined, void>
  spentMs: number
  seen: boolean
}

/** Lays out every job in turns until its time is spent or nothing better can be; between any two replies it may be dropped. */
export function* answerNest(
  { id, jobs, shopping }: NestRequest,
  now: () => number = () => performance.now(),
): Generator<NestReply> {
  let running: Running[] = jobs.map(job => ({ job, search: nesting(job.request), spentMs: 0, seen: false }))
  const total = jobs.reduce((sum, { request }) => sum + request.budgetMs, 0)
  let finishedMs = 0
  while (running.length > 0) {
    const on: Running[] = []
    for (const one of running) {
      const { layout, ended } = work(one, now)
      if (layout) yield { id, kind: 'layout', key: one.job.key, layout }
      if (ended || (one.seen && one.spentMs >= one.job.request.budgetMs))
        finishedMs += one.job.request.budgetMs
      else on.push(one)
      const spent = on.reduce((sum, { spentMs }) => sum + spentMs, finishedMs)
      yield { id, kind: 'progress', share: Math.min(1, spent / total) }
    }
    running = on
  }
  for (const { key, group, request, offers, unit } of shopping) {
    const layOut = (asked: typeof request) => nest({ ...asked, budgetMs: weighMs }, now)
    yield { id, kind: 'purchases', key, purchases: weighPurchases(group, request, offers, unit, layOut) }
  }
  yield { id, kind: 'done' }
}

/** One turn of a job: the last of the better layouts that it found. */
function work(
  running: Running,
  now: () => number,
): { readonly layout: Layout | undefined; readonly ended: boolean } {
  const began = now()
  let layout: Layout | undefined
  for (;;) {
    const turn = running.search.next()
    if (!turn.done && turn.value) {
      layout = turn.value
      running.seen = true
    }
    const spent = now() - began
    if (!turn.done && spent < turnMs) continue
    running.spentMs += spent
    return { layout, ended: turn.done === true }
  }
}

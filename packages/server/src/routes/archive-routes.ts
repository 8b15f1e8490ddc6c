import { standingChoices, type ArchiveNews, type ArchiveReport, type AuditKind } from '@snowdrift/core'
import { Hono, type Context } from 'hono'
import pLimit from 'p-limit'
import { z } from 'zod'
import { openArchive } from '../archive/open-archive.js'
import { takeIn } from '../archive/take-in.js'
import type { TakeInOptions } from '../archive/work.js'
import type { ErrandQueue } from '../errands/errand-queue.js'
import type { Repositories } from '../db/repositories/repositories.js'
import { newsOf } from '../http/news.js'
import { answerProblem } from '../http/problems.js'
import { bodyToFile, withTemporaryFile } from '../http/to-file.js'
import type { PictureShrinker } from '../pictures/shrinker.js'
import type { Log } from '../log.js'
import { askFor, awaitFile } from './errand-routes.js'
import type { WorkshopEnv } from './workshop.js'

/** As a zip. Unpacked it may be larger, see `openArchive`. */
export const mostArchiveBytes = 256 * 1024 * 1024

const takeQuery = z.strictObject({
  existing: z.enum(standingChoices).default('keep'),
  only: z.literal('report').optional(),
})
const coverQuery = z.strictObject({ cover: z.uuid().optional() })

interface ArchiveRoutes {
  readonly log: Log
  readonly shrinker: PictureShrinker
  readonly queue: ErrandQueue
}

/**
 * A workshop as one archive, out and in; or a cover with what of the stash it is made of. What goes out is an errand that
 * is waited for. What comes in is answered line by line: how far it is, then the report. With `only=report` nothing is taken.
 */
export function createArchiveRoutes({ shrinker, log, queue }: ArchiveRoutes): Hono<WorkshopEnv> {
  // One at a time, so that connections are left for what makers wait for.
  const inTurn = pLimit(1)
  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const query = coverQuery.safeParse(context.req.query())
      if (!query.success)
        return answerProblem(context, {
          kind: 'bad-request',
          detail: 'Say in “cover” which cover by its id.',
        })
      const errand = await askFor(context, queue, { kind: 'archive', ...query.data })
      return errand instanceof Response ? errand : awaitFile(context, queue, errand)
    })
    .post('/', async context => {
      const query = takeQuery.safeParse(context.req.query())
      if (!query.success)
        return answerProblem(context, {
          kind: 'bad-request',
          detail:
            'Say in “existing” whether to keep or take what stands here otherwise, and “only=report” to look first.',
        })
      const { workshop, repositories } = context.var
      const { existing: choice, only } = query.data
      const opened = await withTemporaryFile(async path =>
        // What is open can be read to its end though its name is gone.
        (await bodyToFile(context, path, mostArchiveBytes)) ? openArchive(path) : undefined,
      )
      if (!opened) return answerProblem(context, { kind: 'too-large', limit: '256 MB' })
      if (!opened.ok) return answerProblem(context, { kind: 'unreadable', issues: opened.issues })
      const archive = opened.value
      if (!only) await noteOf(context, 'archive-taken-in')
      const take = (tell: (part: number) => void) =>
        inTurn(() =>
          takeTogether(repositories, { archive, workshop, choice, shrinker, tell }, only === undefined),
        ).finally(archive.close)
      return context.body(newsOf(take, log), 200, { 'Content-Type': 'application/x-ndjson' })
    })
}

/** Where people sign in, their owners see who took everything out or brought something in. */
async function noteOf(context: Context<WorkshopEnv>, what: AuditKind): Promise<void> {
  const { person, workshop, repositories } = context.var
  if (person) await repositories.people.audit.note(workshop, what, { person: person.id })
}

/** Takes all of it or nothing. */
async function takeTogether(
  repositories: Repositories,
  options: TakeInOptions,
  keep: boolean,
): Promise<Extract<ArchiveNews, { report: ArchiveReport }>> {
  try {
    const report = await repositories.together(async inside => {
      const done = await takeIn(inside, options)
      if (!keep || done.refused.length > 0) throw new NotKept(done)
      return done
    })
    return { report, taken: true }
  } catch (error) {
    if (error instanceof NotKept) return { report: error.report, taken: false }
    throw error
  }
}

/** Thrown to take a transaction back; never leaves this file. */
class NotKept extends Error {
  constructor(readonly report: ArchiveReport) {
    super('not kept')
  }
}

import { standingChoices, type ArchiveNews, type Errand } from '@snowdrift/core'
import { Hono, type Context } from 'hono'
import { createReadStream } from 'node:fs'
import { z } from 'zod'
import { openArchive } from '../archive/open-archive.js'
import { errandPartBytes } from '../errands/errand-hand.js'
import type { ErrandQueue } from '../errands/errand-queue.js'
import { newsOf } from '../http/news.js'
import { answerProblem } from '../http/problems.js'
import { bodyToFile, withTemporaryFile } from '../http/to-file.js'
import type { Log } from '../log.js'
import { askFor, awaitErrand, awaitFile, putOnItsWay } from './errand-routes.js'
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
  readonly queue: ErrandQueue
}

/**
 * A workshop as one archive, out and in; or a cover with what of the stash it is made of. Both are errands that are waited
 * for. What comes in is answered line by line: how far it is, then the report. With `only=report` nothing is taken.
 */
export function createArchiveRoutes({ log, queue }: ArchiveRoutes): Hono<WorkshopEnv> {
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
      const { existing: choice, only } = query.data
      const errand = await withTemporaryFile(async path => {
        if (!(await bodyToFile(context, path, mostArchiveBytes)))
          return answerProblem(context, { kind: 'too-large', limit: '256 MB' })
        const opened = await openArchive(path)
        if (!opened.ok) return answerProblem(context, { kind: 'unreadable', issues: opened.issues })
        opened.value.close()
        return putOnItsWay(context, queue, {
          asked: { kind: 'archive-in', choice, keeps: only === undefined },
          brought: createReadStream(path, { highWaterMark: errandPartBytes }),
          ...(!only && { note: 'archive-taken-in' }),
        })
      })
      return errand instanceof Response
        ? errand
        : context.body(
            newsOf(tell => awaitReport(context, queue, errand, tell), log),
            200,
            {
              'Content-Type': 'application/x-ndjson',
            },
          )
    })
}

/** What came of an archive that was brought; whoever goes away meanwhile calls it off. */
async function awaitReport(
  context: Context<WorkshopEnv>,
  queue: ErrandQueue,
  asked: Errand,
  tell: (part: number) => void,
): Promise<ArchiveNews> {
  const { workshop, repositories } = context.var
  try {
    const errand = await awaitErrand(context, queue, asked, tell)
    return errand?.archive ?? { problem: errand?.why ?? 'It was called off: nothing was taken in.' }
  } finally {
    await repositories.errands.remove(workshop, asked.id)
  }
}

import {
  fileToMeasure,
  listThings,
  paperNames,
  readOwnersAnswer,
  type CoverFile,
  type Shared,
  type TypedObject,
} from '@snowdrift/core'
import { Hono, type Context } from 'hono'
import { z } from 'zod'
import type { OpenedShare } from '../db/repositories/share-repository.js'
import { isSecret } from '../db/repositories/secret.js'
import type { Repositories } from '../db/repositories/repositories.js'
import { answerWritten, type ExportWriter } from '../exports/export-writer.js'
import { readBody } from '../http/body.js'
import { answerProblem } from '../http/problems.js'

interface SharedEnv {
  readonly Variables: { readonly repositories: Repositories }
}

const paperQuery = z.strictObject({ paper: z.enum(paperNames).default('a4') })

/**
 * What whoever has a link may see and send, without belonging to the workshop. A link that is unknown, taken back, too
 * old or used up, and one whose cover is gone, are answered alike.
 */
export function createSharedRoutes(write: ExportWriter, now: () => Date): Hono<SharedEnv> {
  return new Hono<SharedEnv>()
    .get('/:token', async context => {
      const { repositories } = context.var
      const token = context.req.param('token')
      const found = isSecret(token) ? await repositories.shares.find(token) : undefined
      if (!found) return nowhere(context)
      // Whoever looks at a sheet uses the link; whoever measures uses it by sending.
      const used = found.share.kind === 'sheet' ? await repositories.shares.use(token, 'sheet') : found
      const file = used && (await fileOf(repositories, used))
      if (!used || !file) return nowhere(context)
      const shown = shownOf(used, file)
      return shown ? context.json(shown) : nowhere(context)
    })
    .get('/:token/sheet.pdf', async context => {
      const { repositories } = context.var
      const token = context.req.param('token')
      const query = paperQuery.safeParse(context.req.query())
      if (!query.success)
        return answerProblem(context, {
          kind: 'bad-request',
          detail: `Say in “paper” one of ${paperNames.join(', ')}.`,
        })
      const found = isSecret(token) ? await repositories.shares.use(token, 'sheet') : undefined
      const file = found && (await fileOf(repositories, found))
      if (!found || !file) return nowhere(context)
      const settings = await repositories.settings.find(found.workshop)
      const request = { file, as: 'sheet', audience: 'sewist', withPlain: false, ...query.data } as const
      return answerWritten(context, 'sheet', await write({ request, settings }))
    })
    .post('/:token', async context => {
      const { repositories } = context.var
      const token = context.req.param('token')
      // Taken before anything is read, so that what is wrong counts, too.
      const used = isSecret(token) ? await repositories.shares.use(token, 'measure') : undefined
      const file = used && (await fileOf(repositories, used))
      const thing = file && thingOf(file, used)
      if (!used || !thing) return nowhere(context)
      const body = await readBody(context, input => readOwnersAnswer(thing, input))
      if (!body.ok) return answerProblem(context, body.failure)
      await repositories.shares.keepAnswer(used.id, { ...body.value, at: now().toISOString() })
      return context.json({ triesLeft: used.share.triesLeft }, 201)
    })
}

async function fileOf(
  { covers }: Repositories,
  { workshop, share }: OpenedShare,
): Promise<CoverFile | undefined> {
  return (await covers.find(workshop, share.coverId))?.file
}

function thingOf(file: CoverFile, { share }: OpenedShare): TypedObject | undefined {
  return listThings(file)[share.thing] ?? (share.thing === 0 ? { kind: 'hardcover' } : undefined)
}

function shownOf(used: OpenedShare, file: CoverFile): Shared | undefined {
  const { kind, expiresAt, triesLeft, answer } = used.share
  if (kind === 'sheet') return { kind, expiresAt, file }
  const thing = thingOf(file, used)
  return (
    thing && { kind, expiresAt, triesLeft, isAnswered: answer !== null, file: fileToMeasure(file, thing) }
  )
}

function nowhere(context: Context): Response {
  return answerProblem(context, { kind: 'link-gone' })
}

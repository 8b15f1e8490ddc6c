import { readErrandRequest, type AuditKind, type Errand, type ErrandRequest } from '@snowdrift/core'
import { Hono, type Context } from 'hono'
import { Readable } from 'node:stream'
import { setTimeout } from 'node:timers/promises'
import { z } from 'zod'
import type { ArchiveBrought } from '../db/models/models.js'
import type { ErrandQueue } from '../errands/errand-queue.js'
import { readBody } from '../http/body.js'
import { answerProblem } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

/** More than one would wait for; so that nobody keeps others waiting. */
const mostUndone = 3
const what = 'such errand'

/** Heavy work: asked for, looked at, fetched, called off. */
export function createErrandRoutes(queue: ErrandQueue): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>()
    .post('/', async context => {
      const body = await readBody(context, readErrandRequest)
      if (!body.ok) return answerProblem(context, body.failure)
      const errand = await askFor(context, queue, body.value)
      return errand instanceof Response ? errand : context.json(errand, 201)
    })
    .use('/:id{.+}', async (context, next) => {
      const id: string | undefined = context.req.path.split('/')[3]
      return z.uuid().safeParse(id).success
        ? next()
        : answerProblem(context as Context, { kind: 'missing', what })
    })
    .get('/:id', async context => {
      const errand = await lookAt(context, queue, context.req.param('id'))
      return errand ? context.json(errand) : answerProblem(context, { kind: 'missing', what })
    })
    .get('/:id/file', async context => {
      const { workshop, repositories } = context.var
      const errand = await repositories.errands.find(workshop, context.req.param('id'))
      return errand?.file ? answerFile(context, errand) : answerProblem(context, { kind: 'missing', what })
    })
    .delete('/:id', async context => {
      const { workshop, repositories } = context.var
      return (await repositories.errands.remove(workshop, context.req.param('id')))
        ? context.json({})
        : answerProblem(context, { kind: 'missing', what })
    })
}

/** An errand that is on its way, or the answer why it is not. */
export async function askFor(
  context: Context<WorkshopEnv>,
  queue: ErrandQueue,
  asked: ErrandRequest,
): Promise<Errand | Response> {
  const { workshop, repositories } = context.var
  const covers = asked.kind === 'sheets' ? asked.covers : asked.cover === undefined ? [] : [asked.cover]
  for (const id of covers)
    if (!(await repositories.covers.find(workshop, id)))
      return answerProblem(context, { kind: 'missing', what: 'cover' })
  const isAll = asked.kind === 'archive' && asked.cover === undefined
  return putOnItsWay(context, queue, { asked, ...(isAll && { note: 'archive-taken-out' }) })
}

interface OnItsWay {
  readonly asked: ErrandRequest | ArchiveBrought
  readonly brought?: AsyncIterable<Buffer>
  /** Where people sign in, their owners see who took everything out, or brought something in. */
  readonly note?: AuditKind
}

/** Keeps what is asked for, with what was brought for it, and has it done; or the answer why not. */
export async function putOnItsWay(
  context: Context<WorkshopEnv>,
  queue: ErrandQueue,
  { asked, brought, note }: OnItsWay,
): Promise<Errand | Response> {
  const { workshop, repositories, person } = context.var
  const errand = await repositories.errands.create(workshop, asked, mostUndone, brought)
  if (!errand)
    return answerProblem(context, {
      kind: 'busy',
      detail: 'As much as can be waited for is being done for this workshop. Try again when that is done.',
    })
  if (person && note) await repositories.people.audit.note(workshop, note, { person: person.id })
  try {
    await queue.put(errand.id)
  } catch (error) {
    // Nobody would ever come to do it.
    await repositories.errands.remove(workshop, errand.id).catch(() => undefined)
    throw error
  }
  return errand
}

/** How far an errand is. One whose process was killed is begun by another as soon as somebody looks. */
async function lookAt(
  context: Context<WorkshopEnv>,
  queue: ErrandQueue,
  id: string,
): Promise<Errand | undefined> {
  const { workshop, repositories } = context.var
  if (await repositories.errands.isLeft(workshop, id)) await queue.put(id)
  return repositories.errands.find(workshop, id)
}

const lookEveryMs = 150

/**
 * Looks at an errand until it is over, or is no longer there; `tell` hears how far it is, and may throw for whoever went
 * away.
 */
export async function awaitErrand(
  context: Context<WorkshopEnv>,
  queue: ErrandQueue,
  { id }: Errand,
  tell: (part: number) => void,
): Promise<Errand | undefined> {
  for (;;) {
    const errand = await lookAt(context, queue, id)
    if (!errand || errand.state === 'done' || errand.state === 'failed') return errand
    tell(errand.part)
    await setTimeout(lookEveryMs)
  }
}

/** Waits until an errand is done, and answers with what it wrote; whoever goes away meanwhile calls it off. */
export async function awaitFile(
  context: Context<WorkshopEnv>,
  queue: ErrandQueue,
  asked: Errand,
): Promise<Response> {
  const { workshop, repositories } = context.var
  const { signal } = context.req.raw
  const remove = () => repositories.errands.remove(workshop, asked.id)
  const errand = await awaitErrand(context, queue, asked, () => signal.throwIfAborted()).catch(
    (error: unknown) => {
      if (!signal.aborted) throw error
      return undefined
    },
  )
  if (errand?.file) return answerFile(context, errand, remove)
  await remove()
  return answerProblem(
    context,
    errand?.why === undefined ? { kind: 'missing', what } : { kind: 'busy', detail: errand.why },
  )
}

function answerFile(
  context: Context<WorkshopEnv>,
  { id, file }: Errand,
  afterwards?: () => Promise<unknown>,
): Response {
  const { workshop, repositories } = context.var
  async function* parts() {
    yield* repositories.errands.parts(workshop, id)
    await afterwards?.()
  }
  return context.body(Readable.toWeb(Readable.from(parts())) as ReadableStream, 200, {
    'Content-Type': file?.type ?? 'application/octet-stream',
    'Content-Length': String(file?.bytes ?? 0),
    'Content-Disposition': `attachment; filename="${file?.name ?? 'file'}"`,
  })
}

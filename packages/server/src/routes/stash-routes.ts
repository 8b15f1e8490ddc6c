import { Hono, type Context } from 'hono'
import { z } from 'zod'
import { readCutBody, readStashPieceBody, readTakeBody, type StashPieceRow } from '@snowdrift/core'
import type { Repositories } from '../db/repositories/repositories.js'
import type { Written } from '../db/repositories/row-repository.js'
import type { Taken } from '../db/repositories/stash-repository.js'
import { readBody } from '../http/body.js'
import { readBytes } from '../http/bytes.js'
import { answerProblem } from '../http/problems.js'
import { formatEtag, parseEtag } from '../http/version.js'
import { resizePicture } from '../pictures/resize.js'
import type { WorkshopEnv } from './workshop.js'

export const mostPictureBytes = 8 * 1024 * 1024

const isId = (id: string) => z.uuid().safeParse(id).success

/** The pieces of the stash, wherever they are of: list, change, keep for a cover, let go, cut. */
export function createStashRoutes({ stash, materials }: Repositories): Hono<WorkshopEnv> {
  const unitOf = async (workshop: string, piece: StashPieceRow) =>
    (await materials.find(workshop, piece.materialId))?.unit ?? 'in'

  return new Hono<WorkshopEnv>()
    .get('/pieces', async context => context.json({ items: await stash.list(context.var.workshop) }))
    .put('/pieces/:id', async context => {
      const { workshop } = context.var
      const chosen = chosenOf(context, context.req.param('id'))
      if ('failure' in chosen) return answerProblem(context, chosen.failure)
      const piece = (await stash.list(workshop)).find(({ id }) => id === chosen.id)
      if (!piece) return answerProblem(context, { kind: 'missing', what: 'such piece' })
      const body = await readBody(context, readStashPieceBody(await unitOf(workshop, piece)))
      if (!body.ok) return answerProblem(context, body.failure)
      return answerWritten(context, await stash.change(workshop, chosen, body.value))
    })
    .delete('/pieces/:id', async context => {
      const chosen = chosenOf(context, context.req.param('id'))
      if ('failure' in chosen) return answerProblem(context, chosen.failure)
      return answerWritten(context, await stash.remove(context.var.workshop, chosen))
    })
    .post('/reserve', async context => {
      const body = await readBody(context, readTakeBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { coverId, pieces } = body.value
      return answerTaken(context, await stash.reserve(context.var.workshop, coverId, pieces))
    })
    .post('/release', async context => {
      const body = await readBody(context, readTakeBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { coverId, pieces } = body.value
      return answerTaken(context, await stash.release(context.var.workshop, coverId, pieces))
    })
    .post('/cut', async context => {
      const body = await readBody(context, readCutBody)
      if (!body.ok) return answerProblem(context, body.failure)
      const { coverId, pieces } = body.value
      return answerTaken(context, await stash.cut(context.var.workshop, coverId, pieces))
    })
}

/** What belongs to one material beside its row: its pieces, its history, its picture. */
export function createMaterialRoutes({ stash, materials, pictures }: Repositories): Hono<WorkshopEnv> {
  const missing = (context: Context) => answerProblem(context, { kind: 'missing', what: 'material' })
  return new Hono<WorkshopEnv>()
    .post('/:id/pieces', async context => {
      const { workshop } = context.var
      const id = context.req.param('id')
      const material = isId(id) ? await materials.find(workshop, id) : undefined
      if (!material) return missing(context)
      const body = await readBody(context, readStashPieceBody(material.unit))
      if (!body.ok) return answerProblem(context, body.failure)
      const row = await stash.add(workshop, id, body.value)
      return row ? context.json(row, 201, { ETag: formatEtag(row.version) }) : missing(context)
    })
    .get('/:id/history', async context => {
      const id = context.req.param('id')
      if (!isId(id)) return missing(context)
      return context.json({ items: await stash.history(context.var.workshop, id) })
    })
    .get('/:id/picture', async context => {
      const id = context.req.param('id')
      const bytes = isId(id) ? await pictures.find(context.var.workshop, id) : undefined
      if (!bytes) return answerProblem(context, { kind: 'missing', what: 'picture' })
      return context.body(new Uint8Array(bytes), 200, {
        'Content-Type': 'image/webp',
        'Cache-Control': 'private, max-age=31536000, immutable',
      })
    })
    .put('/:id/picture', async context => {
      const id = context.req.param('id')
      if (!isId(id)) return missing(context)
      const bytes = await readBytes(context, mostPictureBytes)
      if (!bytes) return answerProblem(context, { kind: 'too-large', limit: '8 MB' })
      const picture = await resizePicture(bytes)
      if (!picture) {
        const detail =
          'This is no picture that can be read. Send a JPEG, PNG or WebP of at most 50 megapixels.'
        return answerProblem(context, { kind: 'bad-request', detail })
      }
      if (!(await pictures.put(context.var.workshop, id, picture))) return missing(context)
      await stash.note(context.var.workshop, id, 'picture', 'a new picture')
      return context.json(await materials.find(context.var.workshop, id))
    })
}

function chosenOf(context: Context, id: string) {
  if (!isId(id)) return { failure: { kind: 'missing', what: 'such piece' } as const }
  const version = parseEtag(context.req.header('If-Match'))
  return version === undefined ? { failure: { kind: 'version-needed' } as const } : { id, version }
}

function answerWritten(context: Context, written: Written<StashPieceRow>): Response {
  if (written.kind === 'missing') return answerProblem(context, { kind: 'missing', what: 'such piece' })
  if (written.kind === 'stale') return answerProblem(context, written)
  return context.json(written.row, 200, { ETag: formatEtag(written.row.version) })
}

function answerTaken(context: Context, taken: Taken): Response {
  if (taken.kind === 'missing') return answerProblem(context, { kind: 'missing', what: 'such piece' })
  if (taken.kind === 'stale') return answerProblem(context, taken)
  return context.json({ items: taken.pieces })
}

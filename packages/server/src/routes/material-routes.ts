import { Hono, type Context } from 'hono'
import { z } from 'zod'
import { readStashPieceBody } from '@snowdrift/core'
import { readBytes } from '../http/bytes.js'
import { done, once, refusedAsMissing } from '../http/once.js'
import { readPageQuery } from '../http/page-query.js'
import { answerProblem } from '../http/problems.js'
import { writeBody } from '../http/write.js'
import type { PictureShrinker } from '../pictures/shrinker.js'
import type { WorkshopEnv } from './workshop.js'

export const mostPictureBytes = 8 * 1024 * 1024

const what = 'material'
const isId = (id: string) => z.uuid().safeParse(id).success

/** What belongs to one material beside its row: its pieces, its history, its picture. */
export function createMaterialRoutes(shrinker: PictureShrinker): Hono<WorkshopEnv> {
  const missing = (context: Context) => answerProblem(context, { kind: 'missing', what })
  return new Hono<WorkshopEnv>()
    .post('/:id/pieces', async context => {
      const { workshop, repositories } = context.var
      const id = context.req.param('id')
      const material = isId(id) ? await repositories.materials.find(workshop, id) : undefined
      if (!material) return missing(context)
      return writeBody(context, readStashPieceBody(material.unit), async ({ stash }, body) => {
        const row = await stash.add(workshop, id, body)
        return row ? done(row, 201) : refusedAsMissing(what)
      })
    })
    .get('/:id/history', async context => {
      const { workshop, repositories } = context.var
      const id = context.req.param('id')
      if (!isId(id)) return missing(context)
      const query = readPageQuery(context)
      if (!query.ok) return answerProblem(context, query.failure)
      return context.json(await repositories.stash.history(workshop, id, query.page))
    })
    .get('/:id/picture', async context => {
      const { workshop, repositories } = context.var
      const id = context.req.param('id')
      const bytes = isId(id) ? await repositories.pictures.find(workshop, id) : undefined
      if (!bytes) return answerProblem(context, { kind: 'missing', what: 'picture' })
      return context.body(new Uint8Array(bytes), 200, {
        'Content-Type': 'image/webp',
        'Cache-Control': 'private, max-age=31536000, immutable',
      })
    })
    .put('/:id/picture', async context => {
      const { workshop, repositories } = context.var
      const id = context.req.param('id')
      // Nobody's picture is worked on for a material that is not there.
      if (!isId(id) || !(await repositories.materials.find(workshop, id))) return missing(context)
      const bytes = await readBytes(context, mostPictureBytes)
      if (!bytes) return answerProblem(context, { kind: 'too-large', limit: '8 MB' })
      const shrunk = await shrinker.shrink(bytes)
      if (shrunk.kind !== 'picture') return answerProblem(context, shrunk)
      return once(context, bytes, async ({ pictures, stash, materials }) => {
        if (!(await pictures.put(workshop, id, shrunk.bytes))) return refusedAsMissing(what)
        await stash.note(workshop, [{ materialId: id, what: 'picture', detail: 'a new picture' }])
        const row = await materials.find(workshop, id)
        return row ? done(row) : refusedAsMissing(what)
      })
    })
}

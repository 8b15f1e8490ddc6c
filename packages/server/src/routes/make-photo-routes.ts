import { Hono } from 'hono'
import { z } from 'zod'
import { readBytes } from '../http/bytes.js'
import { done, once, refusedAsMissing } from '../http/once.js'
import { answerProblem } from '../http/problems.js'
import type { PictureShrinker } from '../pictures/shrinker.js'
import { mostPictureBytes } from './material-routes.js'
import type { WorkshopEnv } from './workshop.js'

/** A log shows no more; some that are no longer shown may be there yet. */
const mostPhotos = 48

const isId = (id: string) => z.uuid().safeParse(id).success

/** Photos of a make, under names that the browser gives them; the log says which are shown. */
export function createMakePhotoRoutes(shrinker: PictureShrinker): Hono<WorkshopEnv> {
  return new Hono<WorkshopEnv>()
    .get('/:id/photos/:photo', async context => {
      const { workshop, repositories } = context.var
      const photo = context.req.param('photo')
      const bytes = isId(photo) ? await repositories.photos.find(workshop, photo) : undefined
      if (!bytes) return answerProblem(context, { kind: 'missing', what: 'photo' })
      return context.body(new Uint8Array(bytes), 200, {
        'Content-Type': 'image/webp',
        'Cache-Control': 'private, max-age=31536000, immutable',
      })
    })
    .put('/:id/photos/:photo', async context => {
      const { workshop, repositories } = context.var
      const { id, photo } = context.req.param()
      // Nobody's photo is worked on for a make that is not there.
      if (!isId(id) || !isId(photo) || !(await repositories.makes.find(workshop, id)))
        return answerProblem(context, { kind: 'missing', what: 'make' })
      if ((await repositories.photos.count(workshop, id)) >= mostPhotos)
        return answerProblem(context, {
          kind: 'unreadable',
          issues: [{ path: '', message: `A make keeps at most ${mostPhotos} photos.` }],
        })
      const bytes = await readBytes(context, mostPictureBytes)
      if (!bytes) return answerProblem(context, { kind: 'too-large', limit: '8 MB' })
      const shrunk = await shrinker.shrink(bytes)
      if (shrunk.kind !== 'picture') return answerProblem(context, shrunk)
      return once(context, bytes, async ({ photos, makes }) => {
        const make = await makes.find(workshop, id)
        if (!make) return refusedAsMissing('make')
        await photos.put(workshop, id, photo, shrunk.bytes)
        return done(make)
      })
    })
}

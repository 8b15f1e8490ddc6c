import { readFile } from 'node:fs/promises'
import { join, relative } from 'node:path'
import { serveStatic } from '@hono/node-server/serve-static'
import type { Hono, MiddlewareHandler } from 'hono'

/** Serves the built web application; any other address gets its page, which finds its own way. */
export function serveWeb(app: Hono, folder: string): void {
  const root = relative(process.cwd(), folder) || '.'
  app.use('/assets/*', keep('public, max-age=31536000, immutable'), serveStatic({ root }))
  app.get('/assets/*', context => context.text('Not here', 404))
  app.use('/*', keep('no-cache'), serveStatic({ root }))
  app.get('*', async context => context.html(await readFile(join(folder, 'index.html'), 'utf8')))
}

/** How long a browser may keep what was found; what was not found it may not keep. */
function keep(cacheControl: string): MiddlewareHandler {
  return async (context, next) => {
    await next()
    if (context.res.ok) context.header('Cache-Control', cacheControl)
  }
}

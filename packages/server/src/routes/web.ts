import { readFile } from 'node:fs/promises'
import { join, relative } from 'node:path'
import { serveStatic } from '@hono/node-server/serve-static'
import type { Hono } from 'hono'

/** Serves the built web application; any other address gets its page, which finds its own way. */
export function serveWeb(app: Hono, folder: string): void {
  const root = relative(process.cwd(), folder) || '.'
  app.use(
    '/assets/*',
    serveStatic({
      root,
      onFound: (_path, context) => context.header('Cache-Control', 'public, max-age=31536000, immutable'),
    }),
  )
  app.use(
    '/*',
    serveStatic({ root, onFound: (_path, context) => context.header('Cache-Control', 'no-cache') }),
  )
  app.get('/assets/*', context => context.text('Not here', 404))
  app.get('*', async context => {
    context.header('Cache-Control', 'no-cache')
    return context.html(await readFile(join(folder, 'index.html'), 'utf8'))
  })
}

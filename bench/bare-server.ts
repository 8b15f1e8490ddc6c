import { serve } from '@hono/node-server'
import { Hono } from 'hono'
import pg from 'pg'

/**
 * The least that could answer a page of covers: the same query, parsed by the driver, written by the framework. A process
 * of its own, as the server is: `bare-server.ts PORT DATABASE_URL`.
 */
const [port = '', connectionString = ''] = process.argv.slice(2)
const pool = new pg.Pool({ connectionString, max: 6 })
const { rows } = await pool.query<{ id: string }>(`SELECT id FROM workshops WHERE slug = 'home'`)
const workshop = rows[0]?.id

const page = (further: string) =>
  `SELECT "id", "version", "updated_at" AS "updatedAt", "seq", "thing_id" AS "thingId", "file" FROM covers
   WHERE "workshop_id" = $1 AND "deleted_at" IS NULL${further} ORDER BY "seq" DESC LIMIT $2`

const app = new Hono().get('/api/covers', async context => {
  const { after, limit = '30' } = context.req.query()
  const values = [workshop, Number(limit) + 1, ...(after === undefined ? [] : [after])]
  const found = await pool.query<{ seq: string }>(page(after === undefined ? '' : ' AND "seq" < $3'), values)
  const items = found.rows.slice(0, Number(limit))
  return context.json({ items, next: found.rows.length > items.length ? items.at(-1)?.seq : null })
})
serve({ fetch: app.fetch, port: Number(port), hostname: '127.0.0.1' }, () => console.log('ready'))

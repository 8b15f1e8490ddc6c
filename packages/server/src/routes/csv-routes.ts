import { Hono } from 'hono'
import type { MaterialRow } from '@snowdrift/core'
import { readStashCsv, writeStashCsv } from '../csv/stash-csv.js'
import type { Repositories } from '../db/repositories/repositories.js'
import { readBytes } from '../http/bytes.js'
import { answerProblem } from '../http/problems.js'
import type { WorkshopEnv } from './workshop.js'

const mostBytes = 1024 * 1024

/** The stash as CSV, out and in. What comes in is added; nothing that is there is changed. */
export function createCsvRoutes({ materials, stash }: Repositories): Hono<WorkshopEnv> {
  const listAll = async (workshop: string): Promise<readonly MaterialRow[]> => {
    const rows: MaterialRow[] = []
    let after: string | null | undefined
    do {
      const page = await materials.list(workshop, { limit: 100, ...(after && { after }) })
      rows.push(...page.items)
      after = page.next
    } while (after)
    return rows
  }
  return new Hono<WorkshopEnv>()
    .get('/', async context => {
      const { workshop } = context.var
      const csv = writeStashCsv(await listAll(workshop), await stash.list(workshop))
      return context.body(csv, 200, {
        'Content-Type': 'text/csv; charset=utf-8',
        'Content-Disposition': 'attachment; filename="stash.csv"',
      })
    })
    .post('/', async context => {
      const bytes = await readBytes(context, mostBytes)
      if (!bytes) return answerProblem(context, { kind: 'too-large', limit: '1 MB' })
      const read = readStashCsv(bytes.toString('utf8'))
      if (!read.ok) return answerProblem(context, { kind: 'unreadable', issues: read.issues })
      for (const { material, pieces } of read.entries) {
        const { id } = await materials.create(context.var.workshop, material)
        for (const piece of pieces) await stash.add(context.var.workshop, id, piece)
      }
      return context.json({ added: read.entries.length }, 201)
    })
}

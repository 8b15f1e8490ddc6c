import type { AuditEvent, AuditKind, Page } from '@snowdrift/core'
import { QueryTypes } from 'sequelize'
import type { Session } from '../../session.js'
import { pageOf, type PageRequest } from '../page.js'
import type { RepositoryTools } from '../tools.js'

interface Noted {
  readonly person: string | null
  readonly whom?: string | null
  readonly detail?: string
}

/** What happened among the people of a workshop. Nothing of it is changed; after its time it is forgotten. */
export interface AuditRepository {
  readonly note: (workshop: string, what: AuditKind, noted: Noted) => Promise<void>
  /** Wherever somebody belongs. */
  readonly noteOf: (person: string, what: AuditKind) => Promise<void>
  /** The newest first. */
  readonly list: (workshop: string, page: PageRequest) => Promise<Page<AuditEvent>>
  readonly forgetOld: () => Promise<void>
}

const keptMs = 400 * 86_400_000

export function createAuditRepository(
  { sequelize, transaction }: Session,
  { now }: Pick<RepositoryTools, 'now'>,
): AuditRepository {
  const run = (statement: string, bind: readonly unknown[]) =>
    sequelize.query(statement, { bind: [...bind], type: QueryTypes.SELECT, transaction })
  return {
    note: async (workshop, what, { person, whom = null, detail = '' }) => {
      await run(
        `INSERT INTO audit (workshop_id, at, what, person_id, whom_id, detail) VALUES ($1, $2, $3, $4, $5, $6)`,
        [workshop, now(), what, person, whom, detail],
      )
    },
    noteOf: async (person, what) => {
      await run(
        `INSERT INTO audit (workshop_id, at, what, person_id, detail)
         SELECT workshop_id, $2, $3, person_id, '' FROM memberships WHERE person_id = $1`,
        [person, now(), what],
      )
    },
    list: async (workshop, { after, limit }) => {
      const rows = await sequelize.query<
        Omit<AuditEvent, 'at'> & { readonly at: Date; readonly seq: string }
      >(
        `SELECT a.id, a.id AS seq, a.at, a.what, p.name AS who, o.name AS whom, a.detail
         FROM audit a LEFT JOIN people p ON p.id = a.person_id LEFT JOIN people o ON o.id = a.whom_id
         WHERE a.workshop_id = $1 AND ($2::bigint IS NULL OR a.id < $2) ORDER BY a.id DESC LIMIT $3`,
        { bind: [workshop, after ?? null, limit + 1], type: QueryTypes.SELECT, transaction },
      )
      return pageOf(rows, limit, ({ seq: _seq, at, ...event }) => ({ ...event, at: at.toISOString() }))
    },
    forgetOld: async () => {
      await run('DELETE FROM audit WHERE at < $1', [new Date(now().getTime() - keptMs)])
    },
  }
}

import { QueryTypes } from 'sequelize'
import type { Database } from '../db/connect.js'

/** Every row of every table that belongs to a workshop, as text. */
export async function everythingOf({ sequelize }: Database, workshop: string): Promise<readonly string[]> {
  const tables = await sequelize.query<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.columns
     WHERE table_schema = 'public' AND column_name = 'workshop_id' ORDER BY 1`,
    { type: QueryTypes.SELECT },
  )
  const rows = await Promise.all(
    tables.map(({ name }) =>
      sequelize.query<{ row: string }>(
        `SELECT '${name} ' || t::text AS row FROM "${name}" t WHERE workshop_id = $1 ORDER BY 1`,
        { bind: [workshop], type: QueryTypes.SELECT },
      ),
    ),
  )
  return rows.flat().map(({ row }) => row)
}

import type { QueryInterface, Transaction } from 'sequelize'

/** Few cuttings hold pieces where they lie: the shelf finds those without reading the others. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.sequelize.query(
    `CREATE INDEX cuttings_pinned ON cuttings (workshop_id) WHERE json_array_length(plan->'pins') > 0`,
    { transaction },
  )
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.removeIndex('cuttings', 'cuttings_pinned', { transaction })
}

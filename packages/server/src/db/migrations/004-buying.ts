import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

/** What a workshop pays with; and a pin says on which of several sheets alike it holds: so far there was one. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.addColumn(
    'settings',
    'currency',
    { type: DataTypes.TEXT, allowNull: false, defaultValue: '' },
    { transaction },
  )
  await db.sequelize.query(
    `UPDATE cuttings SET plan = jsonb_set(plan::jsonb, '{pins}', COALESCE(
       (SELECT jsonb_agg('{"sheet": 1}'::jsonb || pin) FROM jsonb_array_elements(plan::jsonb -> 'pins') AS pin),
       '[]'))::json`,
    { transaction },
  )
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.removeColumn('settings', 'currency', { transaction })
}

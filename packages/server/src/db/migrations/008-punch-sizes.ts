import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

/** What holes a workshop’s punch makes. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.addColumn('settings', 'punch_sizes', { type: DataTypes.TEXT }, { transaction })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.removeColumn('settings', 'punch_sizes', { transaction })
}

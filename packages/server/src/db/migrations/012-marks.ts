import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

/** What of a piece of the stash is to be seen on a cover. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const marks = { type: DataTypes.JSON, allowNull: false, defaultValue: [] }
  await db.addColumn('stash_pieces', 'marks', marks, { transaction })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.removeColumn('stash_pieces', 'marks', { transaction })
}

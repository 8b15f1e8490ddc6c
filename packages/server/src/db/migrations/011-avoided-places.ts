import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

/** What of a piece of the stash no piece may cover. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const avoid = { type: DataTypes.JSON, allowNull: false, defaultValue: [] }
  await db.addColumn('stash_pieces', 'avoid', avoid, { transaction })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.removeColumn('stash_pieces', 'avoid', { transaction })
}

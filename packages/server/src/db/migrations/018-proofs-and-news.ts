import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

/** By what people proved that it is they, and up to when a browser told its people what became of their account. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const isFalse = { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false }
  await db.addColumn('sessions', 'by_passkey', isFalse, { transaction })
  const now = { type: DataTypes.DATE, allowNull: false, defaultValue: DataTypes.NOW }
  await db.addColumn('known_browsers', 'told_at', now, { transaction })
  const time = { type: DataTypes.DATE, allowNull: false }
  const text = { type: DataTypes.TEXT, allowNull: false }
  const person = { type: DataTypes.UUID, allowNull: false, references: { model: 'people', key: 'id' } }
  await db.createTable(
    'account_events',
    {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      person_id: { ...person, onDelete: 'CASCADE' },
      at: time,
      what: text,
      device: text,
      by_hash: { type: DataTypes.TEXT },
    },
    { transaction },
  )
  await db.addIndex('account_events', ['person_id', 'at'], { transaction })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.dropTable('account_events', { transaction })
  await db.removeColumn('known_browsers', 'told_at', { transaction })
  await db.removeColumn('sessions', 'by_passkey', { transaction })
}

import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const text = { type: DataTypes.TEXT, allowNull: false }
const workshop = {
  type: DataTypes.UUID,
  allowNull: false,
  references: { model: 'workshops', key: 'id' },
  onDelete: 'CASCADE',
}
const everyRow = {
  id: { type: DataTypes.UUID, primaryKey: true },
  workshop_id: workshop,
  version: { type: DataTypes.INTEGER, allowNull: false },
  seq: { type: DataTypes.BIGINT, autoIncrement: true, allowNull: false },
  created_at: { type: DataTypes.DATE, allowNull: false },
  updated_at: { type: DataTypes.DATE, allowNull: false },
  deleted_at: { type: DataTypes.DATE },
}
const settings = {
  learning: { ...text, defaultValue: 'shown' },
  sessions: { ...text, defaultValue: 'Tue 19:00–21:00, Thu 19:00–21:00, Sat 14:00–17:00' },
  exceptions: { ...text, defaultValue: '' },
}

/** What is remembered of makes, with their photos; what shelf and plan of time know of covers, by the id of the cover. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.createTable(
    'makes',
    { ...everyRow, cover_id: { type: DataTypes.UUID }, log: { type: DataTypes.JSON, allowNull: false } },
    { transaction },
  )
  await db.createTable(
    'marks',
    { ...everyRow, mark: { type: DataTypes.JSON, allowNull: false } },
    { transaction },
  )
  await db.createTable(
    'photos',
    {
      workshop_id: { ...workshop, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      make_id: { type: DataTypes.UUID, allowNull: false },
      bytes: { type: DataTypes.BLOB, allowNull: false },
    },
    { transaction },
  )
  for (const table of ['makes', 'marks']) await db.addIndex(table, ['workshop_id', 'seq'], { transaction })
  await db.addIndex('photos', ['workshop_id', 'make_id'], { transaction })
  await db.addIndex('makes', ['workshop_id', 'cover_id'], { transaction })
  for (const [name, column] of Object.entries(settings))
    await db.addColumn('settings', name, column, { transaction })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  for (const name of Object.keys(settings)) await db.removeColumn('settings', name, { transaction })
  for (const table of ['photos', 'marks', 'makes']) await db.dropTable(table, { transaction })
}

import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const workshop = {
  type: DataTypes.UUID,
  allowNull: false,
  references: { model: 'workshops', key: 'id' },
  onDelete: 'CASCADE',
}
const stored = {
  id: { type: DataTypes.UUID, primaryKey: true },
  workshop_id: workshop,
  version: { type: DataTypes.INTEGER, allowNull: false },
  seq: { type: DataTypes.BIGINT, autoIncrement: true, allowNull: false },
  created_at: { type: DataTypes.DATE, allowNull: false },
  updated_at: { type: DataTypes.DATE, allowNull: false },
  deleted_at: { type: DataTypes.DATE },
}
const uuid = { type: DataTypes.UUID, allowNull: false }
const text = { type: DataTypes.TEXT, allowNull: false }
const json = { type: DataTypes.JSON, allowNull: false }
const count = { type: DataTypes.INTEGER, allowNull: false }

/** The stash: what there is of each material, what became of it, its picture; and how covers are cut. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const within = { transaction }
  await clearHalf(db, transaction)
  await db.addColumn('materials', 'stock', { ...json, defaultValue: {} }, within)
  await db.addColumn('materials', 'picture', { ...count, defaultValue: 0 }, within)
  await db.createTable('cuttings', { ...stored, plan: json }, within)
  await db.createTable(
    'stash_pieces',
    {
      ...stored,
      material_id: uuid,
      source: text,
      width: { type: DataTypes.JSON },
      length: { type: DataTypes.JSON },
      count,
      note: text,
      state: text,
      cover_id: { type: DataTypes.UUID },
    },
    within,
  )
  await db.createTable(
    'stash_events',
    {
      id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
      workshop_id: workshop,
      material_id: uuid,
      at: { type: DataTypes.DATE, allowNull: false },
      what: text,
      detail: text,
    },
    within,
  )
  await db.createTable(
    'pictures',
    {
      material_id: { type: DataTypes.UUID, primaryKey: true },
      workshop_id: workshop,
      bytes: { type: DataTypes.BLOB, allowNull: false },
    },
    within,
  )
  await db.addConstraint('materials', {
    type: 'unique',
    fields: ['workshop_id', 'id'],
    name: 'materials_of_workshop',
    transaction,
  })
  // The pair keeps each from naming a material of another workshop.
  for (const table of ['stash_pieces', 'stash_events', 'pictures'])
    await db.sequelize.query(
      `ALTER TABLE ${table} ADD CONSTRAINT ${table}_of_material FOREIGN KEY (workshop_id, material_id)
       REFERENCES materials (workshop_id, id) ON DELETE CASCADE`,
      within,
    )
  await db.sequelize.query(
    `ALTER TABLE stash_pieces ADD CONSTRAINT known_state CHECK (state IN ('free', 'reserved', 'cut'))`,
    within,
  )
  for (const table of ['cuttings', 'stash_pieces']) await db.addIndex(table, ['workshop_id', 'seq'], within)
  await db.addIndex('stash_events', ['workshop_id', 'material_id', 'id'], within)
}

const tables = ['pictures', 'stash_events', 'stash_pieces', 'cuttings']
const columns = ['stock', 'picture']

/** Steps once ran without a transaction: one that was cut short left a half, in which nobody can have kept anything. */
async function clearHalf(db: QueryInterface, transaction: Transaction): Promise<void> {
  for (const table of tables) await db.sequelize.query(`DROP TABLE IF EXISTS ${table}`, { transaction })
  await db.sequelize.query('ALTER TABLE materials DROP CONSTRAINT IF EXISTS materials_of_workshop', {
    transaction,
  })
  for (const column of columns)
    await db.sequelize.query(`ALTER TABLE materials DROP COLUMN IF EXISTS ${column}`, { transaction })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  for (const table of tables) await db.dropTable(table, { transaction })
  await db.removeConstraint('materials', 'materials_of_workshop', { transaction })
  for (const column of columns) await db.removeColumn('materials', column, { transaction })
}

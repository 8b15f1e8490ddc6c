import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const stored = {
  id: { type: DataTypes.UUID, primaryKey: true },
  workshop_id: {
    type: DataTypes.UUID,
    allowNull: false,
    references: { model: 'workshops', key: 'id' },
    onDelete: 'CASCADE',
  },
  version: { type: DataTypes.INTEGER, allowNull: false },
  seq: { type: DataTypes.BIGINT, autoIncrement: true, allowNull: false },
  created_at: { type: DataTypes.DATE, allowNull: false },
  updated_at: { type: DataTypes.DATE, allowNull: false },
  deleted_at: { type: DataTypes.DATE },
}
const text = { type: DataTypes.TEXT, allowNull: false }
const json = { type: DataTypes.JSON, allowNull: false }

/** Workshops, and what stands in one: things, covers, materials, settings. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const within = { transaction }
  await db.createTable(
    'workshops',
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      slug: { ...text, unique: true },
    },
    within,
  )
  await db.createTable('things', { ...stored, name: text, unit: text, object: json }, within)
  await db.createTable(
    'covers',
    {
      ...stored,
      thing_id: { type: DataTypes.UUID },
      file: json,
    },
    within,
  )
  await db.createTable('materials', { ...stored, unit: text, swatch: text, material: json }, within)
  await db.createTable(
    'settings',
    {
      workshop_id: { ...stored.workshop_id, primaryKey: true },
      version: stored.version,
      unit: text,
      grid: { type: DataTypes.TEXT },
      tape_division: { type: DataTypes.TEXT },
      seam: { type: DataTypes.TEXT },
    },
    within,
  )
  // The pair keeps a cover from naming a thing of another workshop.
  await db.addConstraint('things', {
    type: 'unique',
    fields: ['workshop_id', 'id'],
    name: 'things_of_workshop',
    transaction,
  })
  await db.sequelize.query(
    `ALTER TABLE covers ADD CONSTRAINT cover_of_thing FOREIGN KEY (workshop_id, thing_id)
     REFERENCES things (workshop_id, id) ON DELETE SET NULL (thing_id)`,
    within,
  )
  for (const table of ['things', 'covers', 'materials'])
    await db.addIndex(table, ['workshop_id', 'seq'], within)
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  for (const table of ['settings', 'materials', 'covers', 'things', 'workshops'])
    await db.dropTable(table, { transaction })
}

import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const key = { type: DataTypes.UUID, primaryKey: true }
const number = { type: DataTypes.INTEGER, allowNull: false }
const time = { type: DataTypes.DATE, allowNull: false }
const belongsTo = (model: string) => ({ references: { model, key: 'id' }, onDelete: 'CASCADE' })

/** Heavy work that somebody asked for, what they brought for it and what it wrote, until it is fetched or forgotten. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.createTable(
    'errands',
    {
      id: key,
      workshop_id: { type: DataTypes.UUID, allowNull: false, ...belongsTo('workshops') },
      asked: { type: DataTypes.JSONB, allowNull: false },
      state: { type: DataTypes.STRING, allowNull: false },
      part: { type: DataTypes.REAL, allowNull: false },
      file: { type: DataTypes.JSONB },
      archive: { type: DataTypes.JSONB },
      why: { type: DataTypes.TEXT },
      at: time,
      run: number,
      told_at: time,
    },
    { transaction },
  )
  await db.addIndex('errands', ['workshop_id'], { transaction })
  await db.createTable(
    'errand_parts',
    {
      errand_id: { ...key, ...belongsTo('errands') },
      run: { ...number, primaryKey: true },
      number: { ...number, primaryKey: true },
      bytes: { type: DataTypes.BLOB, allowNull: false },
    },
    { transaction },
  )
  // They are packed as they come: trying again costs time for nothing.
  await db.sequelize.query('ALTER TABLE errand_parts ALTER COLUMN bytes SET STORAGE EXTERNAL', {
    transaction,
  })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.dropTable('errand_parts', { transaction })
  await db.dropTable('errands', { transaction })
}

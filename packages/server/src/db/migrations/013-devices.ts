import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const text = { type: DataTypes.TEXT, allowNull: false }
const time = { type: DataTypes.DATE, allowNull: false }
const id = { type: DataTypes.UUID, primaryKey: true }
const workshop = {
  type: DataTypes.UUID,
  allowNull: false,
  references: { model: 'workshops', key: 'id' },
  onDelete: 'CASCADE',
}

/** Devices that a workshop lets in, the codes by which they come in, and how often what was tried. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.createTable(
    'devices',
    {
      id,
      workshop_id: workshop,
      name: text,
      token_hash: { ...text, unique: true },
      created_at: time,
      seen_at: time,
      revoked_at: { type: DataTypes.DATE },
    },
    { transaction },
  )
  await db.addIndex('devices', ['workshop_id'], { transaction })
  await db.createTable(
    'pairing_codes',
    { id, workshop_id: workshop, code_hash: { ...text, unique: true }, expires_at: time },
    { transaction },
  )
  await db.addColumn(
    'workshops',
    'shared',
    { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    { transaction },
  )
  await db.createTable(
    'tries',
    {
      key: { type: DataTypes.STRING, primaryKey: true },
      points: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 },
      expire: { type: DataTypes.BIGINT },
    },
    { transaction },
  )
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.dropTable('tries', { transaction })
  await db.removeColumn('workshops', 'shared', { transaction })
  await db.dropTable('pairing_codes', { transaction })
  await db.dropTable('devices', { transaction })
}

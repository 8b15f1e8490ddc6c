import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const text = { type: DataTypes.TEXT, allowNull: false }
const settings = {
  machine: { ...text, defaultValue: 'yes' },
  even_feed_foot: { ...text, defaultValue: 'yes' },
  zip_foot: { ...text, defaultValue: 'yes' },
  iron: { ...text, defaultValue: 'yes' },
  rotary_cutter: { ...text, defaultValue: 'yes' },
  hand: { ...text, defaultValue: 'right' },
  level: { ...text, defaultValue: 'practised' },
  foot_lift: { type: DataTypes.TEXT },
  punch_reach: { type: DataTypes.TEXT },
  cuts_board: { type: DataTypes.TEXT },
}

/** How far covers have come at the table, by the id of the cover; and what a workshop has at hand. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.createTable(
    'makings',
    {
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
      progress: { type: DataTypes.JSON, allowNull: false },
    },
    { transaction },
  )
  await db.addIndex('makings', ['workshop_id', 'seq'], { transaction })
  for (const [name, column] of Object.entries(settings))
    await db.addColumn('settings', name, column, { transaction })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  for (const name of Object.keys(settings)) await db.removeColumn('settings', name, { transaction })
  await db.dropTable('makings', { transaction })
}

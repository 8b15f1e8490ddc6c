import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const text = { type: DataTypes.TEXT, allowNull: false }

/** Rules that a maker keeps under a name; none twice for one way of making, whatever its capitals. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.createTable(
    'rules',
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
      name: text,
      family: text,
      unit: text,
      rule: { type: DataTypes.JSON, allowNull: false },
    },
    { transaction },
  )
  await db.addIndex('rules', ['workshop_id', 'seq'], { transaction })
  await db.sequelize.query(
    `CREATE UNIQUE INDEX rules_by_name ON rules (workshop_id, family, lower(name)) WHERE deleted_at IS NULL`,
    { transaction },
  )
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.dropTable('rules', { transaction })
}

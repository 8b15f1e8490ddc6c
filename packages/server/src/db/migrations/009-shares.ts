import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const text = { type: DataTypes.TEXT, allowNull: false }
const count = { type: DataTypes.INTEGER, allowNull: false }
const time = { type: DataTypes.DATE, allowNull: false }

/** Links that a workshop gives out; of each only a hash of its token is kept. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.createTable(
    'shares',
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      workshop_id: {
        type: DataTypes.UUID,
        allowNull: false,
        references: { model: 'workshops', key: 'id' },
        onDelete: 'CASCADE',
      },
      kind: text,
      cover_id: { type: DataTypes.UUID, allowNull: false },
      thing: count,
      token_hash: { ...text, unique: true },
      created_at: time,
      expires_at: time,
      revoked_at: { type: DataTypes.DATE },
      tries_left: count,
      answer: { type: DataTypes.JSON },
    },
    { transaction },
  )
  await db.addIndex('shares', ['workshop_id', 'cover_id'], { transaction })
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  await db.dropTable('shares', { transaction })
}

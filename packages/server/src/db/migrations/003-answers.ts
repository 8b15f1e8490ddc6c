import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

/** What was answered to a write that carried a key; and pieces are kept for covers that there are. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const within = { transaction }
  await db.createTable(
    'answers',
    {
      workshop_id: {
        type: DataTypes.UUID,
        primaryKey: true,
        references: { model: 'workshops', key: 'id' },
        onDelete: 'CASCADE',
      },
      key: { type: DataTypes.UUID, primaryKey: true },
      fingerprint: { type: DataTypes.TEXT, allowNull: false },
      answer: { type: DataTypes.JSON },
      at: { type: DataTypes.DATE, allowNull: false },
    },
    within,
  )
  await db.addIndex('answers', ['at'], within)
  await db.addConstraint('covers', {
    type: 'unique',
    fields: ['workshop_id', 'id'],
    name: 'covers_of_workshop',
    transaction,
  })
  // Cut pieces keep the cover that they went into, unless it never was one of this workshop.
  await db.sequelize.query(
    `UPDATE stash_pieces SET cover_id = NULL WHERE NOT EXISTS
     (SELECT FROM covers WHERE covers.workshop_id = stash_pieces.workshop_id AND covers.id = stash_pieces.cover_id)`,
    within,
  )
  await db.sequelize.query(
    `UPDATE stash_pieces SET state = 'free', cover_id = NULL, version = version + 1
     WHERE state = 'reserved' AND NOT EXISTS
     (SELECT FROM covers WHERE covers.workshop_id = stash_pieces.workshop_id AND covers.id = stash_pieces.cover_id
        AND covers.deleted_at IS NULL)`,
    within,
  )
  await db.sequelize.query(
    `ALTER TABLE stash_pieces ADD CONSTRAINT piece_of_cover FOREIGN KEY (workshop_id, cover_id)
     REFERENCES covers (workshop_id, id) ON DELETE SET NULL (cover_id)`,
    within,
  )
  await db.addIndex('stash_pieces', ['workshop_id', 'cover_id'], within)
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  const within = { transaction }
  await db.removeIndex('stash_pieces', ['workshop_id', 'cover_id'], within)
  await db.removeConstraint('stash_pieces', 'piece_of_cover', within)
  await db.removeConstraint('covers', 'covers_of_workshop', within)
  await db.dropTable('answers', within)
}

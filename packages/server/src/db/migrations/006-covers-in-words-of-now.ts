import { inPresentWords } from '@snowdrift/core'
import { QueryTypes, type QueryInterface, type Transaction } from 'sequelize'

const atOnce = 500

/**
 * Cover files of version 1 are written in the words of now; each remembers that it was reckoned before, so that its maker
 * is told once what is cut otherwise. Rows in the bin too: they may be brought back. What was changed meanwhile elsewhere
 * is based on the version before, and is shown both.
 */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  let after = '0'
  for (;;) {
    const rows = await db.sequelize.query<{ id: string; seq: string; file: unknown }>(
      `SELECT id, seq, file FROM covers WHERE seq > $1 AND file ->> 'version' = '1' ORDER BY seq LIMIT ${atOnce}`,
      { bind: [after], type: QueryTypes.SELECT, transaction },
    )
    for (const { id, file } of rows)
      await db.sequelize.query('UPDATE covers SET file = $2, version = version + 1 WHERE id = $1', {
        bind: [id, JSON.stringify(inPresentWords(file))],
        transaction,
      })
    const last = rows.at(-1)
    if (!last) return
    after = last.seq
  }
}

/** Nothing is taken back: the words of now say all that was said. */
export async function down(): Promise<void> {
  await Promise.resolve()
}

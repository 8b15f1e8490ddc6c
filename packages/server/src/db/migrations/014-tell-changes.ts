import type { QueryInterface, Transaction } from 'sequelize'

/** Tables of rows that carry an id and a version, and what one of them is called. */
const rows = {
  covers: 'cover',
  things: 'thing',
  materials: 'material',
  cuttings: 'cutting',
  rules: 'rule',
  makings: 'making',
  makes: 'make',
  marks: 'mark',
  stash_pieces: 'stash',
} as const

/** Tables of which only that something changed is told. */
const others = {
  settings: 'settings',
  pictures: 'picture',
  photos: 'photo',
  shares: 'share',
  devices: 'device',
} as const

/**
 * Whatever writes, those who look at it hear of it: every statement notes what it changed, once a workshop, in the
 * transaction that changes it. It tells nobody itself: transactions that notify wait for one another until each is on the
 * disk.
 */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const run = (statement: string) => db.sequelize.query(statement, { transaction })
  await run(`
    CREATE TABLE changes (
      id bigserial PRIMARY KEY,
      workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
      kind text NOT NULL,
      row_id uuid,
      version integer,
      at timestamptz NOT NULL DEFAULT clock_timestamp()
    )`)
  await run(notingFunction('note_rows', 'CASE WHEN count(*) = 1 THEN min(id::text)::uuid END, max(version)'))
  await run(notingFunction('note_others', 'NULL, NULL'))
  await run(`
    CREATE FUNCTION note_sharing() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      INSERT INTO changes (workshop_id, kind) VALUES (NEW.id, 'sharing');
      RETURN NULL;
    END $$`)
  for (const [table, kind] of Object.entries(rows))
    for (const what of ['INSERT', 'UPDATE'] as const) await run(trigger(table, what, 'note_rows', kind))
  for (const [table, kind] of Object.entries(others))
    for (const what of ['INSERT', 'UPDATE', 'DELETE'] as const)
      await run(trigger(table, what, 'note_others', kind))
  await run(`
    CREATE TRIGGER note_sharing AFTER UPDATE OF shared ON workshops
    FOR EACH ROW EXECUTE FUNCTION note_sharing()`)
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  for (const name of ['note_rows', 'note_others', 'note_sharing'])
    await db.sequelize.query(`DROP FUNCTION ${name}() CASCADE`, { transaction })
  await db.dropTable('changes', { transaction })
}

function notingFunction(name: string, idAndVersion: string): string {
  return `
    CREATE FUNCTION ${name}() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      INSERT INTO changes (workshop_id, kind, row_id, version)
      SELECT workshop_id, TG_ARGV[0], ${idAndVersion} FROM changed GROUP BY workshop_id;
      RETURN NULL;
    END $$`
}

function trigger(table: string, what: 'INSERT' | 'UPDATE' | 'DELETE', notes: string, kind: string): string {
  const rowsOf = what === 'DELETE' ? 'OLD' : 'NEW'
  return `
    CREATE TRIGGER note_${what.toLowerCase()} AFTER ${what} ON ${table}
    REFERENCING ${rowsOf} TABLE AS changed
    FOR EACH STATEMENT EXECUTE FUNCTION ${notes}('${kind}')`
}

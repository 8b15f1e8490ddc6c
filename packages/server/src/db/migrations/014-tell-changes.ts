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
 * Whatever writes, those who look at it hear of it: every statement tells what it changed, once a workshop, as soon as its
 * transaction is through.
 */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const run = (statement: string) => db.sequelize.query(statement, { transaction })
  await run(
    tellingFunction('tell_rows', "CASE WHEN count(*) = 1 THEN min(id::text) END, 'version', max(version)"),
  )
  await run(tellingFunction('tell_others', "NULL, 'version', NULL"))
  for (const [table, kind] of Object.entries(rows))
    for (const what of ['INSERT', 'UPDATE'] as const) await run(trigger(table, what, 'tell_rows', kind))
  for (const [table, kind] of Object.entries(others))
    for (const what of ['INSERT', 'UPDATE', 'DELETE'] as const)
      await run(trigger(table, what, 'tell_others', kind))
  await run(`
    CREATE FUNCTION tell_sharing() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      PERFORM pg_notify('changes', json_build_object(
        'workshop', NEW.id, 'kind', 'sharing', 'id', NULL, 'version', NULL)::text);
      RETURN NULL;
    END $$`)
  await run(`
    CREATE TRIGGER tell_sharing AFTER UPDATE OF shared ON workshops
    FOR EACH ROW EXECUTE FUNCTION tell_sharing()`)
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  for (const name of ['tell_rows', 'tell_others', 'tell_sharing'])
    await db.sequelize.query(`DROP FUNCTION ${name}() CASCADE`, { transaction })
}

function tellingFunction(name: string, idAndVersion: string): string {
  return `
    CREATE FUNCTION ${name}() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      PERFORM pg_notify('changes', json_build_object(
        'workshop', workshop_id, 'kind', TG_ARGV[0], 'id', ${idAndVersion})::text)
      FROM changed GROUP BY workshop_id;
      RETURN NULL;
    END $$`
}

function trigger(table: string, what: 'INSERT' | 'UPDATE' | 'DELETE', tells: string, kind: string): string {
  const rowsOf = what === 'DELETE' ? 'OLD' : 'NEW'
  return `
    CREATE TRIGGER tell_${what.toLowerCase()} AFTER ${what} ON ${table}
    REFERENCING ${rowsOf} TABLE AS changed
    FOR EACH STATEMENT EXECUTE FUNCTION ${tells}('${kind}')`
}

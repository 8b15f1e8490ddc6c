import { DataTypes, type QueryInterface, type Transaction } from 'sequelize'

const text = { type: DataTypes.TEXT, allowNull: false }
const time = { type: DataTypes.DATE, allowNull: false }
const id = { type: DataTypes.UUID, primaryKey: true }
const refer = (model: string, onDelete: 'CASCADE' | 'SET NULL') => ({
  type: DataTypes.UUID,
  allowNull: onDelete === 'SET NULL',
  references: { model, key: 'id' },
  onDelete,
})
const person = refer('people', 'CASCADE')
const workshop = refer('workshops', 'CASCADE')
const optionalText = { type: DataTypes.TEXT }
const optionalTime = { type: DataTypes.DATE }

/** People where Snowdrift is hosted: who they are, how they prove it, what they belong to, and what was noted of it. */
export async function up(db: QueryInterface, transaction: Transaction): Promise<void> {
  const make = (name: string, columns: Parameters<QueryInterface['createTable']>[1]) =>
    db.createTable(name, columns, { transaction })
  const index = (table: string, ...columns: string[]) => db.addIndex(table, columns, { transaction })
  await db.addColumn('workshops', 'name', { ...text, defaultValue: 'Workshop' }, { transaction })
  await make('people', {
    id,
    sign_in_name: { ...text, unique: true },
    name: text,
    passphrase_hash: optionalText,
    created_at: time,
  })
  await make('memberships', {
    person_id: { ...person, primaryKey: true },
    workshop_id: { ...workshop, primaryKey: true },
    role: text,
    since: time,
  })
  await index('memberships', 'workshop_id')
  await make('invitations', {
    id,
    workshop_id: workshop,
    role: text,
    token_hash: { ...text, unique: true },
    created_at: time,
    expires_at: time,
  })
  await index('invitations', 'workshop_id')
  await make('sessions', {
    id,
    person_id: person,
    workshop_id: refer('workshops', 'SET NULL'),
    device: text,
    token_hash: { ...text, unique: true },
    next_hash: { ...optionalText, unique: true },
    next_at: optionalTime,
    last_hash: { ...optionalText, unique: true },
    turned_at: time,
    created_at: time,
    seen_at: time,
    confirmed_at: time,
  })
  await index('sessions', 'person_id')
  await make('passkeys', {
    id,
    person_id: person,
    credential_id: { ...text, unique: true },
    public_key: { type: DataTypes.BLOB, allowNull: false },
    counter: { type: DataTypes.BIGINT, allowNull: false },
    transports: { type: DataTypes.JSON, allowNull: false },
    name: text,
    created_at: time,
    used_at: optionalTime,
  })
  await index('passkeys', 'person_id')
  await make('ceremonies', {
    id,
    challenge: text,
    purpose: text,
    // whoever joins is nobody yet
    person_id: { type: DataTypes.UUID },
    expires_at: time,
  })
  await make('recovery_codes', { person_id: person, code_hash: { ...text, primaryKey: true } })
  await index('recovery_codes', 'person_id')
  // Several people may use a browser.
  await make('known_browsers', {
    person_id: { ...person, primaryKey: true },
    token_hash: { ...text, primaryKey: true },
    seen_at: time,
  })
  await make('audit', {
    id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
    workshop_id: workshop,
    at: time,
    what: text,
    person_id: refer('people', 'SET NULL'),
    whom_id: refer('people', 'SET NULL'),
    detail: text,
  })
  await index('audit', 'workshop_id', 'id')
  const run = (statement: string) => db.sequelize.query(statement, { transaction })
  await run(noting('changed.workshop_id IN (SELECT id FROM workshops)'))
  for (const table of ['memberships', 'invitations'])
    for (const what of ['INSERT', 'UPDATE', 'DELETE']) await run(trigger(table, what))
  await run(trigger('sessions', 'DELETE'))
}

export async function down(db: QueryInterface, transaction: Transaction): Promise<void> {
  for (const table of [
    'audit',
    'known_browsers',
    'recovery_codes',
    'ceremonies',
    'passkeys',
    'sessions',
    'invitations',
    'memberships',
    'people',
  ])
    await db.dropTable(table, { transaction })
  await db.removeColumn('workshops', 'name', { transaction })
  await db.sequelize.query(noting('true'), { transaction })
}

/** What goes with its workshop is told to nobody: there is no workshop any more whose change it could be. */
function noting(condition: string): string {
  return `
    CREATE OR REPLACE FUNCTION note_others() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      INSERT INTO changes (workshop_id, kind, row_id, version)
      SELECT workshop_id, TG_ARGV[0], NULL, NULL FROM changed WHERE ${condition} GROUP BY workshop_id;
      RETURN NULL;
    END $$`
}

function trigger(table: string, what: string): string {
  return `
    CREATE TRIGGER note_${what.toLowerCase()} AFTER ${what} ON ${table}
    REFERENCING ${what === 'DELETE' ? 'OLD' : 'NEW'} TABLE AS changed
    FOR EACH STATEMENT EXECUTE FUNCTION note_others('people')`
}

import { expect } from 'chai'
import { QueryTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize'
import { quietLog, startTestDatabase, type TestDatabase } from '../testing/test-database.js'
import { serve } from '../serve.js'
import { connect, type ConnectOptions, type Database } from './connect.js'
import { migrate, migrations } from './migrate.js'
import type { Migration } from './migrations/migration.js'

describe('bringing the tables up to date', function () {
  this.timeout(180_000)
  let cluster: TestDatabase
  let count = 0
  const opened: Database[] = []
  before(async () => {
    cluster = await startTestDatabase()
  })
  after(async () => {
    await Promise.all(opened.map(({ close }) => close()))
    await cluster.remove()
  })

  /** The address of a new, empty database. */
  async function emptyDatabase(): Promise<string> {
    const admin = await connect(cluster.cluster.url)
    const name = `empty_${++count}`
    await admin.sequelize.query(`CREATE DATABASE ${name}`)
    await admin.close()
    return cluster.cluster.url.replace(/\/postgres$/, `/${name}`)
  }
  async function open(url: string, options: ConnectOptions = {}): Promise<Database> {
    const database = await connect(url, options)
    opened.push(database)
    return database
  }
  const tablesOf = async (sequelize: Sequelize) =>
    (
      await sequelize.query<{ name: string }>(
        `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' ORDER BY 1`,
        { type: QueryTypes.SELECT },
      )
    ).map(({ name }) => name)
  const names = migrations.map(([name]) => name)

  it('takes every step once', async () => {
    const database = await open(await emptyDatabase())
    expect(await migrate(database)).to.deep.equal(names)
    expect(await migrate(database)).to.deep.equal([])
  })

  it('makes just the columns that the models have: a field without its step, or a step without its field, is found', async () => {
    const url = await emptyDatabase()
    await migrate(await open(url))
    const { models, sequelize } = await connect(url)
    const made = await sequelize.query<{ table: string; column: string }>(
      `SELECT table_name AS table, column_name AS column FROM information_schema.columns WHERE table_schema = 'public'`,
      { type: QueryTypes.SELECT },
    )
    await sequelize.close()
    for (const model of Object.values(models) as ModelStatic<Model>[]) {
      const { tableName: table } = model
      const asked = Object.values(model.getAttributes()).map(({ field }) => field)
      const there = made.filter(found => found.table === table).map(({ column }) => column)
      expect(asked.toSorted(), table).to.deep.equal(there.toSorted())
    }
  })

  it('refuses tables of a newer Snowdrift in a sentence, and changes nothing of them', async () => {
    const database = await open(await emptyDatabase())
    const { sequelize } = database
    await migrate(database)
    await sequelize.query(`INSERT INTO migrations VALUES ('999-later')`)
    const before = await tablesOf(sequelize)
    const complaint = await migrate(database).catch((error: unknown) => (error as Error).message)
    expect(complaint).to.equal(
      'The database was written by a newer Snowdrift (999-later). Bring this one up to date first; nothing was changed.',
    )
    expect(await tablesOf(sequelize)).to.deep.equal(before)
  })

  it('leaves nothing of a step that is cut short, and takes it whole the next time', async () => {
    const database = await open(await emptyDatabase())
    const { sequelize } = database
    const [first, [name, stash] = ['', undefined]] = migrations
    if (!first || !stash) throw new Error('There are two steps at least')
    const cutShort: Migration = {
      ...stash,
      up: async (db, transaction) => {
        await stash.up(db, transaction)
        throw new Error('killed')
      },
    }
    const failed = await migrate(database, [first, [name, cutShort]]).then(
      () => 'done',
      (error: unknown) => String(error),
    )
    expect(failed).to.contain('killed')
    expect(await tablesOf(sequelize)).not.to.include('stash_pieces')
    expect(await migrate(database)).to.deep.equal(names.slice(1))
    expect(await tablesOf(sequelize)).to.include('stash_pieces')
  })

  it('lets a step take longer than anybody would wait for an answer, and whoever waits for it, too', async () => {
    const url = await emptyDatabase()
    const limits = { statement_timeout: 100, lock_timeout: 100, query_timeout: 200 }
    const slow: Migration = {
      up: async (db, transaction) => {
        await db.sequelize.query('SELECT pg_sleep(0.6)', { transaction })
      },
      down: () => Promise.resolve(),
    }
    const [one, other] = [await open(url, { limits }), await open(url, { limits })]
    const refused = await one.sequelize.query('SELECT pg_sleep(0.6)').catch(() => 'given up')
    expect(refused).to.equal('given up')
    const taken = await Promise.all([migrate(one, [['slow', slow]]), migrate(other, [['slow', slow]])])
    expect(taken.flat()).to.deep.equal(['slow'])
  })

  it('gets over the half of a step that an older Snowdrift left, and keeps what was there before', async () => {
    const database = await open(await emptyDatabase())
    const { sequelize } = database
    await migrate(database, migrations.slice(0, 1))
    await sequelize.query(
      `INSERT INTO workshops VALUES ('7b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f', 'home');
       INSERT INTO materials (id, workshop_id, version, created_at, updated_at, unit, swatch, material)
       VALUES ('8b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f', '7b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f', 1, now(), now(), 'in', '#aabbcc', '{}');
       ALTER TABLE materials ADD COLUMN stock JSON NOT NULL DEFAULT '{}';
       CREATE TABLE cuttings (id UUID PRIMARY KEY)`,
    )
    expect(await migrate(database)).to.deep.equal(names.slice(1))
    expect(
      await sequelize.query('SELECT id, stock FROM materials', { type: QueryTypes.SELECT }),
    ).to.deep.equal([{ id: '8b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f', stock: {} }])
  })

  it('goes back step by step', async () => {
    const database = await open(await emptyDatabase())
    const { sequelize } = database
    await migrate(database)
    for (const [, { down }] of migrations.toReversed())
      await sequelize.transaction(transaction => down(sequelize.getQueryInterface(), transaction))
    expect(await tablesOf(sequelize)).to.deep.equal(['migrations'])
  })

  it('lets three servers that start at once on an empty database all come up, with one demo between them', async () => {
    const databaseUrl = await emptyDatabase()
    const servers = await Promise.all(
      Array.from({ length: 3 }, () => serve({ databaseUrl, port: 0, log: quietLog, demo: true })),
    )
    try {
      expect(new Set(servers.map(({ workshop }) => workshop)).size).to.equal(1)
      const [first] = servers
      const { items } = (await (await fetch(`${first?.address ?? ''}/api/covers?limit=100`)).json()) as {
        items: unknown[]
      }
      expect(items).to.have.length(12)
    } finally {
      await Promise.all(servers.map(({ close }) => close()))
    }
  })

  it('says of pins that are there already on which sheet they hold', async () => {
    const database = await open(await emptyDatabase())
    const { sequelize } = database
    await migrate(database, migrations.slice(0, 3))
    const [shop, cut, bare] = ['7', '8', '9'].map(n => `${n}b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f`)
    const pin = { group: 'outer', piece: 'a', cloth: 'to buy', xMm: 1, yMm: 2, turned: false }
    const plan = (pins: readonly object[]) => JSON.stringify({ coverIds: [cut], pins })
    await sequelize.query(
      `INSERT INTO workshops VALUES ('${shop}', 'home');
       INSERT INTO settings VALUES ('${shop}', 1, 'in');
       INSERT INTO cuttings (id, workshop_id, version, created_at, updated_at, plan)
       VALUES ('${cut}', '${shop}', 1, now(), now(), '${plan([pin])}'), ('${bare}', '${shop}', 1, now(), now(), '${plan([])}')`,
    )
    await migrate(database)
    const rows = await sequelize.query<{ plan: object }>('SELECT plan FROM cuttings ORDER BY id', {
      type: QueryTypes.SELECT,
    })
    expect(rows.map(row => row.plan)).to.deep.equal([
      { coverIds: [cut], pins: [{ ...pin, sheet: 1 }] },
      { coverIds: [cut], pins: [] },
    ])
    const [settings] = await sequelize.query('SELECT currency FROM settings', { type: QueryTypes.SELECT })
    expect(settings).to.deep.equal({ currency: '' })
  })

  it('writes older cover files in the words of now, and leaves all else of them', async () => {
    const database = await open(await emptyDatabase())
    const { sequelize } = database
    await migrate(database, migrations.slice(0, 5))
    const [shop, old, now] = ['7', '8', '9'].map(n => `${n}b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f`)
    const file = { format: 'snowdrift/cover', family: 'turned-flap-cover', name: 'It’s “old”', layers: [] }
    const written = (version: number) => JSON.stringify({ ...file, version })
    await sequelize.query(`INSERT INTO workshops VALUES ('${shop}', 'home')`)
    for (const [id, version] of [
      [old, 1],
      [now, 2],
    ] as const)
      await sequelize.query(
        `INSERT INTO covers (id, workshop_id, version, created_at, updated_at, file) VALUES ($1, $2, 3, now(), now(), $3)`,
        { bind: [id, shop, written(version)] },
      )
    await migrate(database)
    const rows = await sequelize.query<{ file: object; version: number }>(
      'SELECT file, version FROM covers ORDER BY id',
      { type: QueryTypes.SELECT },
    )
    expect(rows).to.deep.equal([
      {
        file: {
          ...file,
          version: 2,
          upgradedFrom: 1,
          sizing: { mode: 'computed', easeWidth: '5 mm' },
        },
        version: 4,
      },
      { file: { ...file, version: 2 }, version: 3 },
    ])
  })

  it('lets go of pieces that were kept for covers that are gone, and of covers that never were', async () => {
    const database = await open(await emptyDatabase())
    const { sequelize } = database
    await migrate(database, migrations.slice(0, 2))
    const [shop, material, there, gone] = ['7', '8', '9', 'a'].map(
      n => `${n}b1c4d0e-3c55-4b5f-9d6e-0a4b5c6d7e8f`,
    )
    await sequelize.query(
      `INSERT INTO workshops VALUES ('${shop}', 'home');
       INSERT INTO materials (id, workshop_id, version, created_at, updated_at, unit, swatch, material)
       VALUES ('${material}', '${shop}', 1, now(), now(), 'in', '#aabbcc', '{}');
       INSERT INTO covers (id, workshop_id, version, created_at, updated_at, deleted_at, file)
       VALUES ('${there}', '${shop}', 1, now(), now(), NULL, '{}'), ('${gone}', '${shop}', 1, now(), now(), now(), '{}');
       INSERT INTO stash_pieces (id, workshop_id, material_id, version, created_at, updated_at, source, count, note, state, cover_id)
       SELECT gen_random_uuid(), '${shop}', '${material}', 1, now(), now(), 'sheet', 1, cover_id, 'reserved', cover_id::uuid
       FROM unnest(ARRAY['${there}', '${gone}', '${shop}']) AS cover_id`,
    )
    await migrate(database)
    const rows = await sequelize.query<{ note: string; state: string }>(
      'SELECT note, state FROM stash_pieces',
      {
        type: QueryTypes.SELECT,
      },
    )
    expect(Object.fromEntries(rows.map(({ note, state }) => [note, state]))).to.deep.equal({
      [String(there)]: 'reserved',
      [String(gone)]: 'free',
      [String(shop)]: 'free',
    })
  })
})

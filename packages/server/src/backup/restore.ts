import { open } from 'node:fs/promises'
import { QueryTypes } from 'sequelize'
import { connect } from '../db/connect.js'
import { migrate, migrations } from '../db/migrate.js'
import { StartFailure } from '../start-failure.js'
import { runClient } from './postgres-client.js'

/**
 * Puts a backup into the empty database of `url`, all of it or nothing, and brings it up to date. What is no backup, was
 * made by a newer Snowdrift, or would go where something stands is a StartFailure, and changes nothing.
 */
export async function restore(url: string, file: string): Promise<void> {
  await refuseOtherFiles(file)
  await refuseNewer(file)
  await refuseFull(url)
  await runClient(
    'pg_restore',
    ['--exit-on-error', '--single-transaction', '--no-owner', '--no-privileges', '--dbname=', file],
    url,
  )
  const database = await connect(url)
  await migrate(database).finally(database.close)
}

/** PostgreSQL's own archives begin so. */
const magic = 'PGDMP'

async function refuseOtherFiles(file: string): Promise<void> {
  const handle = await open(file).catch(() => undefined)
  if (!handle) throw new StartFailure(`There is no ${file}, or it may not be read.`)
  const { buffer, bytesRead } = await handle
    .read(Buffer.alloc(magic.length), 0, magic.length, 0)
    .finally(() => handle.close())
  if (buffer.toString('latin1', 0, bytesRead) !== magic)
    throw new StartFailure(`${file} is no backup of Snowdrift: expected one that ./snowdrift backup wrote.`)
}

/** A backup tells by which steps its tables came to be; one that is not known here is of a later Snowdrift. */
async function refuseNewer(file: string): Promise<void> {
  const rows = await runClient('pg_restore', ['--data-only', '--table=migrations', '--file=-', file])
  const named = /^COPY [^\n]*migrations[^\n]*\n([\s\S]*?)^\\\.$/m.exec(rows)?.[1]
  if (named === undefined)
    throw new StartFailure(`${file} is no backup of Snowdrift: it does not say by which steps it was made.`)
  const known = new Set(migrations.map(([name]) => name))
  const unknown = named.split('\n').filter(name => name !== '' && !known.has(name))
  if (unknown.length > 0)
    throw new StartFailure(
      `${file} was made by a newer Snowdrift (${unknown.join(', ')}). Bring this one up to date first.`,
    )
}

async function refuseFull(url: string): Promise<void> {
  const { sequelize, close } = await connect(url)
  try {
    const tables = await sequelize.query<{ readonly tablename: string }>(
      "SELECT tablename FROM pg_tables WHERE schemaname = 'public'",
      { type: QueryTypes.SELECT },
    )
    if (tables.length > 0)
      throw new StartFailure(
        'Something is kept there already. A backup goes into an empty place: name another with SNOWDRIFT_DATA or DATABASE_URL.',
      )
  } finally {
    await close()
  }
}

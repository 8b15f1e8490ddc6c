import { resolve } from 'node:path'
import { StartFailure } from './start-failure.js'

export interface Environment {
  readonly port: number
  readonly dataFolder: string
  /** An existing server's address instead of our own cluster. */
  readonly databaseUrl?: string
}

/** PORT (4180), SNOWDRIFT_DATA (.snowdrift), DATABASE_URL; an unusable one is a StartFailure. */
export function readEnvironment(variables: Readonly<Record<string, string | undefined>>): Environment {
  const { PORT = '4180', SNOWDRIFT_DATA = '.snowdrift', DATABASE_URL } = variables
  const port = Number(PORT)
  if (!/^\d+$/.test(PORT) || port < 1 || port > 65_535)
    throw new StartFailure(`PORT must be a number from 1 to 65535; it is “${PORT}”.`)
  if (DATABASE_URL !== undefined && !/^postgres(ql)?:\/\//.test(DATABASE_URL))
    throw new StartFailure('DATABASE_URL must begin with postgres:// and name a server.')
  return {
    port,
    dataFolder: resolve(SNOWDRIFT_DATA),
    ...(DATABASE_URL !== undefined && { databaseUrl: DATABASE_URL }),
  }
}

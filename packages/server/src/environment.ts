import { resolve } from 'node:path'
import { StartFailure } from './start-failure.js'

export interface Environment {
  readonly port: number
  readonly dataFolder: string
  /** An existing server's address instead of our own cluster. */
  readonly databaseUrl?: string
  /** Where metrics are read off; nowhere unless said. */
  readonly metricsPort?: number
}

/** PORT (4180), SNOWDRIFT_DATA (.snowdrift), DATABASE_URL, SNOWDRIFT_METRICS_PORT; an unusable one is a StartFailure. */
export function readEnvironment(variables: Readonly<Record<string, string | undefined>>): Environment {
  const { PORT = '4180', SNOWDRIFT_DATA = '.snowdrift', DATABASE_URL, SNOWDRIFT_METRICS_PORT } = variables
  const port = readPort('PORT', PORT)
  const metricsPort =
    SNOWDRIFT_METRICS_PORT === undefined
      ? undefined
      : readPort('SNOWDRIFT_METRICS_PORT', SNOWDRIFT_METRICS_PORT)
  if (metricsPort === port)
    throw new StartFailure(`SNOWDRIFT_METRICS_PORT must be another than PORT; both are ${port}.`)
  if (DATABASE_URL !== undefined && !/^postgres(ql)?:\/\//.test(DATABASE_URL))
    throw new StartFailure('DATABASE_URL must begin with postgres:// and name a server.')
  return {
    port,
    dataFolder: resolve(SNOWDRIFT_DATA),
    ...(DATABASE_URL !== undefined && { databaseUrl: DATABASE_URL }),
    ...(metricsPort !== undefined && { metricsPort }),
  }
}

function readPort(name: string, text: string): number {
  const port = Number(text)
  if (!/^\d+$/.test(text) || port < 1 || port > 65_535)
    throw new StartFailure(`${name} must be a number from 1 to 65535; it is “${text}”.`)
  return port
}

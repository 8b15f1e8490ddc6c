import pino from 'pino'
import { readKeeperEnvironment } from './environment.js'
import { createKeeper } from './keeper/keeper-app.js'
import { listenAtSocket } from './keeper/listen-at-socket.js'
import { createPassphrases } from './people/passphrases.js'
import { readPeppers } from './people/peppers.js'
import { StartFailure } from './start-failure.js'

try {
  await keepSecrets()
} catch (error) {
  console.error(error instanceof StartFailure ? `snowdrift: ${error.message}` : error)
  process.exit(1)
}

/** Holds the secrets of passphrases in a process of its own, until it is told to stop. */
async function keepSecrets(): Promise<void> {
  const { pepperFile, pepperSocket } = readKeeperEnvironment(process.env)
  const passphrases = createPassphrases(await readPeppers(pepperFile))
  const close = await listenAtSocket(createKeeper(passphrases, pino()).fetch, pepperSocket)
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
    process.once(signal, () => void close().then(() => process.exit(0)))
  console.log(`Holds the secrets of passphrases at ${pepperSocket}.`)
}

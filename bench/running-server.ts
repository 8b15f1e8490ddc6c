import { spawn } from 'node:child_process'
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { findFreePort } from '../packages/server/src/cluster/free-port.js'
import { variedCover } from './covers.js'

/** A server as it is started, with an empty workshop of its own. */
export interface RunningServer {
  readonly address: string
  /** Where its data is. */
  readonly folder: string
  /** What it holds in memory now, in megabytes. */
  readonly memory: () => Promise<number>
  readonly stop: () => Promise<void>
}

/** By as many processes as said. */
export async function startServer(workers = 1): Promise<RunningServer> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-bench-'))
  const port = await findFreePort()
  const address = `http://127.0.0.1:${port}`
  const main = join(import.meta.dirname, '../packages/server/dist/snowdrift.js')
  const server = spawn(process.execPath, [main], {
    env: {
      ...process.env,
      PORT: String(port),
      SNOWDRIFT_SHARE_PORT: String(await findFreePort()),
      SNOWDRIFT_DATA: folder,
      SNOWDRIFT_WORKERS: String(workers),
    },
    stdio: 'ignore',
  })
  await answers(address)
  return {
    address,
    folder,
    memory: async () => {
      const status = await readFile(`/proc/${server.pid ?? 0}/status`, 'utf8')
      return Number(/^VmRSS:\s+(\d+) kB/m.exec(status)?.[1]) / 1024
    },
    stop: async () => {
      server.kill('SIGTERM')
      await new Promise(resolve => server.once('close', resolve))
      await rm(folder, { recursive: true })
    },
  }
}

async function answers(address: string): Promise<void> {
  for (let tries = 0; tries < 300; tries++) {
    const healthy = await fetch(`${address}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    )
    if (healthy) return
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  throw new Error('The server did not start')
}

/** Puts the n-th of many different covers on the shelf. */
export async function createCover(address: string, n: number): Promise<void> {
  const body = JSON.stringify({ thingId: null, file: variedCover(n) })
  const response = await fetch(`${address}/api/covers`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body,
  })
  if (response.status !== 201) throw new Error(`Creating answered ${response.status}`)
  await response.text()
}

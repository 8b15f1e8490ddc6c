import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { findFreePort } from '../../packages/server/src/cluster/free-port.js'
import { findPostmaster } from '../../packages/server/src/cluster/postmaster.js'

/** The server as it is started, on data of its own; it can be killed and started again. */
export interface OwnServer {
  readonly address: string
  readonly start: () => Promise<void>
  readonly killNode: () => Promise<void>
  readonly killDatabase: () => Promise<void>
  /** Megabytes that the process holds. */
  readonly memoryMb: () => Promise<number>
  readonly remove: () => Promise<void>
}

export async function openServer(): Promise<OwnServer> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-faults-'))
  const port = await findFreePort()
  const address = `http://127.0.0.1:${port}`
  const sharePort = await findFreePort()
  const main = join(import.meta.dirname, '../../packages/server/dist/main.js')
  let child: ChildProcess | undefined
  const start = async () => {
    const env = {
      ...process.env,
      PORT: String(port),
      SNOWDRIFT_SHARE_PORT: String(sharePort),
      SNOWDRIFT_DATA: folder,
    }
    child = spawn(process.execPath, [main], { env, stdio: 'ignore' })
    const ended = new Promise((_, reject) => {
      child?.once('exit', code =>
        reject(new Error(`The server ended with ${String(code)} instead of starting`)),
      )
    })
    await Promise.race([answers(address), ended])
  }
  const gone = async (signal: NodeJS.Signals) => {
    const left = new Promise(resolve => child?.once('exit', resolve))
    child?.kill(signal)
    await left
  }
  await start()
  return {
    address,
    start,
    killNode: () => gone('SIGKILL'),
    killDatabase: async () => {
      const { pid } = (await findPostmaster(join(folder, 'postgres'))) ?? {}
      if (pid !== undefined) process.kill(pid, 'SIGKILL')
    },
    memoryMb: async () => {
      const status = await readFile(`/proc/${child?.pid ?? 0}/status`, 'utf8')
      return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1]) / 1024
    },
    remove: async () => {
      await gone('SIGTERM')
      await rm(folder, { recursive: true, force: true })
    },
  }
}

/** Waits until a page of covers is answered. */
export async function answers(address: string): Promise<void> {
  for (;;) {
    const ok = await fetch(`${address}/api/covers?limit=1`, { signal: AbortSignal.timeout(3000) }).then(
      response => response.ok,
      () => false,
    )
    if (ok) return
    await new Promise(resolve => setTimeout(resolve, 25))
  }
}

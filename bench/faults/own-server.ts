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
  /** One of several processes, where there are; the others go on. False where there is only one. */
  readonly killWorker: () => Promise<boolean>
  readonly killDatabase: () => Promise<void>
  /** Once all of its processes are up and hold what they hold: they come one after the other. */
  readonly settled: () => Promise<void>
  /** Megabytes that its processes hold together. */
  readonly memoryMb: () => Promise<number>
  readonly remove: () => Promise<void>
}

/** Longer than one process takes to come up, and less than it holds. */
const restMs = 4000
const stillMb = 20

export async function openServer(): Promise<OwnServer> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-faults-'))
  const port = await findFreePort()
  const address = `http://127.0.0.1:${port}`
  const sharePort = await findFreePort()
  const main = join(import.meta.dirname, '../../packages/server/dist/snowdrift.js')
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
  const memoryMb = async () => {
    const held = await Promise.all([child?.pid ?? 0, ...(await workersOf(child?.pid))].map(memoryMbOf))
    return held.reduce((sum, mb) => sum + mb, 0)
  }
  await start()
  return {
    address,
    settled: async () => {
      for (let before = 0, now = await memoryMb(); now > before + stillMb;) {
        await new Promise(resolve => setTimeout(resolve, restMs))
        before = now
        now = await memoryMb()
      }
    },
    start,
    killNode: () => gone('SIGKILL'),
    killDatabase: async () => {
      const { pid } = (await findPostmaster(join(folder, 'postgres'))) ?? {}
      if (pid !== undefined) process.kill(pid, 'SIGKILL')
    },
    killWorker: async () => {
      const workers = await workersOf(child?.pid)
      const chosen = workers[Math.floor(Math.random() * workers.length)]
      if (chosen !== undefined) process.kill(chosen, 'SIGKILL')
      return chosen !== undefined
    },
    memoryMb,
    remove: async () => {
      await gone('SIGTERM')
      await rm(folder, { recursive: true, force: true })
    },
  }
}

/** The processes that answer for a first one, by their ids; none where it answers itself. */
async function workersOf(pid = 0): Promise<readonly number[]> {
  const children = await readFile(`/proc/${pid}/task/${pid}/children`, 'utf8').catch(() => '')
  const ids = children.trim().split(' ').filter(Boolean).map(Number)
  const commands = await Promise.all(ids.map(id => readFile(`/proc/${id}/cmdline`, 'utf8').catch(() => '')))
  return ids.filter((_, at) => commands[at]?.includes('worker-main'))
}

async function memoryMbOf(pid: number): Promise<number> {
  const status = await readFile(`/proc/${pid}/status`, 'utf8').catch(() => '')
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024
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

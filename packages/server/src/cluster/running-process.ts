import { execFile } from 'node:child_process'
import { readFile } from 'node:fs/promises'
import { promisify } from 'node:util'

/** A process that is running, told apart from a later one that was given the same number. */
export interface RunningProcess {
  readonly startedAtMs: number
  readonly command: string
}

/** The process of that number; undefined where there is none, only a zombie, or no number that a process can have. */
export async function findProcess(pid: number): Promise<RunningProcess | undefined> {
  if (!Number.isInteger(pid) || pid < 2) return undefined
  return process.platform === 'linux' ? fromProc(pid) : fromPs(pid)
}

/** Whether two starts are one: clocks of the kernel and of processes are seconds apart, not minutes. */
export function isSameStart(one: number, other: number): boolean {
  return Math.abs(one - other) < 10_000
}

/** Linux counts the starts of processes in hundredths of a second since it started itself. */
const ticksPerSecond = 100

async function fromProc(pid: number): Promise<RunningProcess | undefined> {
  try {
    const [stat, command, system] = await Promise.all(
      [`/proc/${pid}/stat`, `/proc/${pid}/cmdline`, '/proc/stat'].map(path => readFile(path, 'utf8')),
    )
    // The name stands in brackets and may hold anything; what is counted begins behind it.
    const fields = (stat ?? '').slice((stat ?? '').lastIndexOf(')') + 2).split(' ')
    const bootedAt = Number(/^btime (\d+)$/m.exec(system ?? '')?.[1])
    if (fields[0] === 'Z' || fields[0] === 'X') return undefined
    const startedAtMs = (bootedAt + Number(fields[19]) / ticksPerSecond) * 1000
    return { startedAtMs, command: (command ?? '').replaceAll('\0', ' ').trim() }
  } catch {
    return undefined
  }
}

async function fromPs(pid: number): Promise<RunningProcess | undefined> {
  try {
    const args = ['-o', 'stat=', '-o', 'lstart=', '-o', 'command=', '-p', String(pid)]
    const { stdout } = await promisify(execFile)('ps', args, { env: { ...process.env, LC_ALL: 'C' } })
    const [, state = 'Z', started = '', command = ''] =
      /^\s*(\S+)\s+(\w+ +\w+ +\d+ [\d:]+ \d+)\s+(.*)$/m.exec(stdout) ?? []
    return state.startsWith('Z') ? undefined : { startedAtMs: Date.parse(started), command }
  } catch {
    return undefined
  }
}

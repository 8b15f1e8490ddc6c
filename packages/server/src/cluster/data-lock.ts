import { readFile, rename, rm, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { StartFailure } from '../start-failure.js'
import { findProcess, isSameStart } from './running-process.js'

interface Holder {
  readonly pid: number
  readonly address: string
  /** When that process started, so that a later one of the same number is not taken for it. */
  readonly startedAtMs?: number
}

/**
 * Keeps a second Snowdrift off the same data. A lock whose process has died is taken over, whoever has its number now.
 * Gives the function that lets go.
 */
export async function lockData(dataFolder: string, address: string): Promise<() => Promise<void>> {
  const file = join(dataFolder, 'running.json')
  const text = await readFile(file, 'utf8').catch(() => undefined)
  const holder = text === undefined ? undefined : parseHolder(text)
  if (holder && (await isHolding(holder))) throw takenBy(holder)
  if (text !== undefined) await clearLock(file, text)
  const startedAtMs = (await findProcess(process.pid))?.startedAtMs
  const own: Holder = { pid: process.pid, address, ...(startedAtMs !== undefined && { startedAtMs }) }
  await writeFile(file, JSON.stringify(own), { flag: 'wx' }).catch(async (error: unknown) => {
    if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error
    throw takenBy(parseHolder(await readFile(file, 'utf8').catch(() => '')) ?? own)
  })
  return () => rm(file, { force: true })
}

/** Takes the left lock away, and only that: one that was put there meanwhile is put back. */
async function clearLock(file: string, left: string): Promise<void> {
  const aside = `${file}.${process.pid}`
  await rename(file, aside).catch(() => undefined)
  const moved = await readFile(aside, 'utf8').catch(() => left)
  if (moved !== left) await writeFile(file, moved, { flag: 'wx' }).catch(() => undefined)
  await rm(aside, { force: true })
}

function takenBy({ address, pid }: Holder): StartFailure {
  return new StartFailure(`Snowdrift is running on this data already: ${address} (process ${pid}).`)
}

function parseHolder(text: string): Holder | undefined {
  try {
    return JSON.parse(text) as Holder
  } catch {
    return undefined
  }
}

/** Ourselves, after a restart in a container, are no other. */
async function isHolding({ pid, startedAtMs }: Holder): Promise<boolean> {
  if (pid === process.pid) return false
  const found = await findProcess(pid)
  if (!found) return false
  return startedAtMs === undefined
    ? /\bmain\.js\b/.test(found.command)
    : isSameStart(found.startedAtMs, startedAtMs)
}

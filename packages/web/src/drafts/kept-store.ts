import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import { keptPlace } from '../app/account'

/** Something of a window's that this device keeps. */
export interface KeptRecord {
  /** What it is of: the row of a draft, or a form. */
  readonly of: string
  /** The window that it belongs to. */
  readonly window: string
  readonly at: number
  readonly value: unknown
}

/** Why a device does not keep: no room is left, or the browser keeps nothing for this page. */
export type KeepingTrouble = 'full' | 'blocked'

interface Schema extends DBSchema {
  kept: { key: [of: string, window: string]; value: KeptRecord }
}

let opening: Promise<IDBPDatabase<Schema>> | undefined

/** Opened when it is first wanted; where that fails, tried again the next time. */
function open(): Promise<IDBPDatabase<Schema>> {
  opening ??= openDB<Schema>(keptPlace(), 1, {
    upgrade: database => database.createObjectStore('kept', { keyPath: ['of', 'window'] }),
    terminated: () => (opening = undefined),
  }).catch((error: unknown) => {
    opening = undefined
    throw error
  })
  return opening
}

/** Written through to the disk before it counts as kept: whatever ends the browser, it is there. */
const toTheDisk = { durability: 'strict' } as const

export async function putKept(record: KeptRecord): Promise<void> {
  const transaction = (await open()).transaction('kept', 'readwrite', toTheDisk)
  await Promise.all([transaction.store.put(record), transaction.done])
}

export async function dropKept(of: string, window: string): Promise<void> {
  await (await open()).delete('kept', [of, window])
}

export async function listKept(of?: string): Promise<readonly KeptRecord[]> {
  const records = await (await open()).getAll('kept')
  return of === undefined ? records : records.filter(record => record.of === of)
}

/** Gives a record to another window, at once and to one only; undefined where it is gone. */
export async function moveKept(of: string, from: string, to: string): Promise<KeptRecord | undefined> {
  const transaction = (await open()).transaction('kept', 'readwrite', toTheDisk)
  const { store } = transaction
  const record = await store.get([of, from])
  if (record) {
    await store.put({ ...record, window: to })
    await store.delete([of, from])
  }
  await transaction.done
  return record
}

/** What a failure to keep means. */
export function troubleOf(error: unknown): KeepingTrouble {
  return error instanceof Error && /quota/i.test(`${error.name} ${error.message}`) ? 'full' : 'blocked'
}

/** The next call opens it anew, in the place of whoever is here then. */
export async function closeKept(): Promise<void> {
  const database = await opening?.catch(() => undefined)
  database?.close()
  opening = undefined
}

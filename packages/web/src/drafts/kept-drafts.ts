import { inPresentWords } from '@snowdrift/core'
import { v4 as newId } from 'uuid'
import type { Draft, KeptDraft } from './draft'
import {
  dropKept,
  listKept,
  moveKept,
  putKept,
  troubleOf,
  type KeepingTrouble,
  type KeptRecord,
} from './kept-store'
import type { Ref } from './kinds'
import { dropLeaving, listLeaving, putLeaving, takeLeaving } from './kept-leaving'
import { openWindows, windowName } from './window-name'

/** What hinders keeping; undefined where nothing does. */
export type Keeping = KeepingTrouble | undefined

/** How keeping a draft went. That one could be let go of says nothing about room for another. */
export type Kept = 'kept' | 'let-go' | KeepingTrouble

const waiting = new Map<Ref, Draft>()
/** The latest of each row that is not on the device yet. */
const unwritten = new Map<Ref, Draft>()
const writing = new Map<Ref, Promise<Kept>>()

/**
 * Keeps unsaved work on this device, and lets go of it once the server has it. What changes while one state is being
 * written goes with the next, the latest only. Never fails: how it went is what it gives.
 */
export function keepDraft(draft: Draft): Promise<Kept> {
  waiting.set(draft.ref, draft)
  unwritten.set(draft.ref, draft)
  const busy = writing.get(draft.ref)
  if (busy) return busy
  const work = writeWaiting(draft.ref)
  writing.set(draft.ref, work)
  return work
}

async function writeWaiting(ref: Ref): Promise<Kept> {
  let outcome: Kept = 'let-go'
  for (let draft = waiting.get(ref); draft; draft = waiting.get(ref)) {
    waiting.delete(ref)
    outcome = await write(draft).catch(troubleOf)
  }
  // In the same turn in which nothing waits any more: what comes next begins anew.
  writing.delete(ref)
  unwritten.delete(ref)
  return outcome
}

async function write(draft: Draft): Promise<Kept> {
  const { ref } = draft
  const window = await windowName()
  const value = keptOf(draft)
  await (value ? putKept({ of: ref, window, at: Date.now(), value }) : dropKept(ref, window))
  dropLeaving(ref)
  return value ? 'kept' : 'let-go'
}

/** What is kept of a draft; undefined where the server has all of it. */
function keptOf({ version, body, dirty, pending }: Draft): KeptDraft | undefined {
  return dirty || pending ? { version, body, ...(pending && { pending }) } : undefined
}

/** A page that goes away waits for no device: what is not written yet goes where this window finds it when it is loaded again. */
export function keepWhileLeaving(): void {
  for (const [ref, draft] of unwritten) {
    const value = keptOf(draft) as KeptDraft<object> | undefined
    putLeaving(ref, value ? { value } : {})
  }
}

/** Whoever signs out leaves nothing on the way to the device either. */
export function forgetUnwritten(): void {
  waiting.clear()
  unwritten.clear()
}

/** Once everything is written that was to be kept so far. */
export async function allKept(): Promise<void> {
  await Promise.all(writing.values())
}

/** Whether this device keeps anything at all for this page. */
export function tryKeeping(): Promise<Keeping> {
  return attempt(listKept())
}

async function attempt(work: Promise<unknown>): Promise<Keeping> {
  try {
    await work
    return undefined
  } catch (error) {
    return troubleOf(error)
  }
}

/** Lets go of what is kept of a row, by whichever window: the row itself is gone. */
export async function dropKeptDrafts(ref: Ref): Promise<void> {
  await attempt(
    listKept(ref).then(records => Promise.all(records.map(({ window }) => dropKept(ref, window)))),
  )
}

/** Unsaved work on a row that this window left before it was loaded again. */
export async function findOwnDraft(ref: Ref): Promise<KeptDraft<object> | undefined> {
  try {
    const leaving = takeLeaving(ref)
    if (leaving) return leaving.value && inWordsOfNow(leaving.value)
    const own = await windowName()
    const mine = (await listKept(ref)).find(({ window }) => window === own)
    return mine && inWordsOfNow(mine.value as KeptDraft<object>)
  } catch {
    return undefined
  }
}

/** Unsaved work that a window left which is closed now; it becomes this window's, and is nobody else's any more. */
export async function claimLeftDraft(ref: Ref): Promise<KeptDraft<object> | undefined> {
  try {
    const own = await windowName()
    const [left] = await leftBehind(await listKept(ref), own)
    const moved = left && (await moveKept(ref, left.window, own))
    return moved && inWordsOfNow(moved.value as KeptDraft<object>)
  } catch {
    return undefined
  }
}

/** What an older Snowdrift kept on this device of a cover file goes on as this one writes it. */
function inWordsOfNow(kept: KeptDraft<object>): KeptDraft<object> {
  const { body, pending } = kept
  return {
    ...kept,
    body: withPresentFile(body),
    ...(pending && { pending: { ...pending, body: withPresentFile(pending.body) } }),
  }
}

function withPresentFile(body: object): object {
  return 'file' in body ? { ...body, file: inPresentWords(body.file) } : body
}

/** Puts work back that was found and is not wanted now, to be found again. */
export async function leaveKeptDraft(ref: Ref, value: KeptDraft<object>): Promise<void> {
  await attempt(putKept({ of: ref, window: `left ${newId()}`, at: Date.now(), value }))
}

/** The rows of which closed windows, or this one before a reload, left unsaved work. */
export async function listLeftRefs(): Promise<readonly Ref[]> {
  try {
    const own = await windowName()
    const records = await listKept()
    const left = [...records.filter(({ window }) => window === own), ...(await leftBehind(records, own))]
    return [...new Set([...listLeaving(), ...left.map(({ of }) => of)].filter(isRef))]
  } catch {
    return listLeaving().filter(isRef)
  }
}

/** The other windows that are open and have unsaved work on a row: the device may yet tell one closed a moment ago. */
export async function listKeepers(ref: Ref): Promise<readonly string[]> {
  try {
    const own = await windowName()
    const alive = await openWindows()
    return (await listKept(ref)).flatMap(({ window }) =>
      window !== own && alive?.has(window) ? [window] : [],
    )
  } catch {
    return []
  }
}

/** Without a way to know which windows are open, what nobody has touched for a while counts as left. */
const untouchedMs = 60_000

async function leftBehind(records: readonly KeptRecord[], own: string): Promise<readonly KeptRecord[]> {
  const alive = await openWindows()
  const isLeft = ({ window, at }: KeptRecord) =>
    alive ? !alive.has(window) : Date.now() - at > untouchedMs || window.startsWith('left ')
  return records.filter(record => record.window !== own && isLeft(record))
}

function isRef(of: string): of is Ref {
  return /^(cover|thing|cutting|material|making|make|settings)\//.test(of)
}

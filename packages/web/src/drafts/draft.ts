import { isEqual } from './is-equal'
import type { Ref, Standing } from './kinds'

/** A row that is being worked on: what the maker has now, and how it stands to what the server has. */
export interface Draft<Body = unknown> {
  readonly ref: Ref
  /** The version of the row that `body` is based on; 0 where the server has none yet. */
  readonly version: number
  readonly body: Body
  /** What the server had at that version, as far as this window knows. */
  readonly base?: Body
  readonly past: readonly Body[]
  readonly future: readonly Body[]
  /** Whether `body` holds anything that the server does not have. */
  readonly dirty: boolean
  readonly saving: SavingState
  /** A save that was sent and is not answered yet. Until it is, nobody knows whether the server has it. */
  readonly pending?: Pending<Body>
  /** Why the server refused, when it did. */
  readonly refusal?: string
  /** What stands on the server, when somebody else changed it meanwhile. */
  readonly conflict?: Standing<Body>
  /** The field that changed last, and when: typing on in it is one step for undo. */
  readonly lastChange?: { readonly key: string; readonly at: number }
}

export type SavingState = 'resting' | 'saving' | 'offline' | 'refused'

/** One save, as it is sent, and sent again, until it is answered. */
export interface Pending<Body = unknown> extends Standing<Body> {
  readonly key: string
}

/** What a device keeps of unsaved work. */
export interface KeptDraft<Body = unknown> extends Standing<Body> {
  readonly pending?: Pending<Body>
}

const mostSteps = 200
const typingPauseMs = 1500

export function openDraft<Body>(ref: Ref, { version, body }: Standing<Body>): Draft<Body> {
  return { ref, version, body, base: body, past: [], future: [], dirty: false, saving: 'resting' }
}

/** Takes up work that this device kept; where the server has moved on meanwhile, the two are in conflict. */
export function resumeDraft<Body extends object>(
  ref: Ref,
  kept: KeptDraft<Partial<Body>>,
  row: Standing<Body>,
): Draft<Body> {
  const body = { ...row.body, ...kept.body }
  const pending = kept.pending as Pending<Body> | undefined
  if (!pending && isEqual(body, row.body)) return openDraft(ref, row)
  const { version } = kept
  const draft: Draft<Body> = {
    ...{ ref, version, body, past: [row.body], future: [], dirty: true, saving: 'resting' },
    ...(row.version === version && { base: row.body }),
  }
  // A save on its way may be what the server has by now: its answer will tell.
  if (pending) return { ...draft, pending }
  return row.version > version ? { ...draft, conflict: row } : draft
}

/** The key of a change that is a step of its own, however soon it follows another. */
export const oneStep = ''

const held = 'held '

/** The key of what is changed by one hold of the hand, since then: one step, however long it is held. Itself without one. */
export const whileHeld = (key: string, since: number | undefined) =>
  since === undefined ? key : `${held}${key} ${since}`

/** A change of the body. Changes of one field in quick succession are undone together, and those of one hold. */
export function changeDraft<Body>(draft: Draft<Body>, body: Body, key: string, at: number): Draft<Body> {
  if (body === draft.body) return draft
  const { lastChange } = draft
  const isSame = key !== oneStep && lastChange?.key === key && draft.past.length > 0
  const goesOn = isSame && (key.startsWith(held) || at - lastChange.at < typingPauseMs)
  const past = goesOn ? draft.past : [...draft.past, draft.body].slice(-mostSteps)
  return { ...draft, body, past, future: [], dirty: true, lastChange: { key, at } }
}

export function undoDraft<Body>(draft: Draft<Body>): Draft<Body> {
  const body = draft.past.at(-1)
  if (!body) return draft
  const { lastChange: _last, ...rest } = draft
  return { ...rest, body, past: draft.past.slice(0, -1), future: [draft.body, ...draft.future], dirty: true }
}

/** As it was before the change under that key, which leaves no step; nothing where something else changed since. */
export function putBackDraft<Body>(draft: Draft<Body>, key: string): Draft<Body> {
  const { lastChange, ...rest } = draft
  const body = draft.past.at(-1)
  if (!body || lastChange?.key !== key) return draft
  return { ...rest, body, past: draft.past.slice(0, -1), dirty: true }
}

export function redoDraft<Body>(draft: Draft<Body>): Draft<Body> {
  const [body, ...future] = draft.future
  if (!body) return draft
  const { lastChange: _last, ...rest } = draft
  return { ...rest, body, past: [...draft.past, draft.body], future, dirty: true }
}

/** The save that is due: the one that was never answered, as it was; else what stands here now, under a new key. */
export function sendDraft<Body>(
  draft: Draft<Body>,
  newKey: string,
): Draft<Body> & { readonly pending: Pending<Body> } {
  const { version, body } = draft
  return { ...draft, pending: draft.pending ?? { key: newKey, version, body } }
}

/** The server has what was sent, as `version`; what was typed since is still to be saved. */
export function settleDraft<Body>(draft: Draft<Body>, version: number): Draft<Body> {
  const { refusal: _refusal, conflict: _conflict, pending, ...rest } = draft
  if (!pending) return draft
  return {
    ...rest,
    version,
    base: pending.body,
    dirty: !isEqual(draft.body, pending.body),
    saving: 'resting',
  }
}

/**
 * The server refused what was sent, because something else stands there. That is no conflict where it is what was sent,
 * nor where it is what the work here is based on, only under a later number.
 */
export function meetOther<Body>(draft: Draft<Body>, row: Standing<Body>): Draft<Body> {
  const { pending, ...rest } = draft
  if (pending && isEqual(pending.body, row.body)) return settleDraft(draft, row.version)
  if (isEqual(draft.body, row.body))
    return { ...rest, version: row.version, base: row.body, dirty: false, saving: 'resting' }
  if (draft.base !== undefined && isEqual(draft.base, row.body))
    return { ...rest, version: row.version, dirty: true, saving: 'resting' }
  return { ...rest, conflict: row, saving: 'resting' }
}

/** The server refused what was sent for what it says; it is not sent again. */
export function refuseDraft<Body>(draft: Draft<Body>, refusal: string): Draft<Body> {
  const { pending: _pending, ...rest } = draft
  return { ...rest, saving: 'refused', refusal }
}

/** Keeps the maker's own work: it is based on what stands now, and saved over it. */
export function keepMine<Body>(draft: Draft<Body>): Draft<Body> {
  const { conflict, ...rest } = draft
  return conflict
    ? { ...rest, version: conflict.version, base: conflict.body, dirty: true, saving: 'resting' }
    : draft
}

/** Takes what stands on the server; undo brings the maker's own back. */
export function takeTheirs<Body>(draft: Draft<Body>): Draft<Body> {
  const { conflict, lastChange: _last, ...rest } = draft
  if (!conflict) return draft
  const { version, body } = conflict
  const past = [...draft.past, draft.body]
  return { ...rest, version, body, base: body, past, future: [], dirty: false, saving: 'resting' }
}

/** Two bodies of which neither is lost: what comes of both is based on what stands now, and saved where it says more. */
export function mergeConflict<Body>(
  draft: Draft<Body>,
  merge: ((mine: Body, theirs: Body) => Body) | undefined,
): Draft<Body> {
  const { conflict, ...rest } = draft
  if (!conflict || !merge) return draft
  const body = merge(draft.body, conflict.body)
  const dirty = !isEqual(body, conflict.body)
  return { ...rest, body, version: conflict.version, base: conflict.body, dirty, saving: 'resting' }
}

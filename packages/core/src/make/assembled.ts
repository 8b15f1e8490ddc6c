import { ancestryOf } from './ancestry.js'
import { stages, turnsAt, type Draft } from './draft.js'
import type { Step } from './step.js'

type Always = Pick<
  Step,
  'id' | 'kind' | 'place' | 'minutes' | 'name' | 'does' | 'why' | 'pieces' | 'notions' | 'needs'
>
type AtTimes = { readonly [Name in Exclude<keyof Draft, keyof Always>]?: Draft[Name] | undefined }

/** A draft in its place: all that must come before it. What it lacks is there as undefined: all have one shape. */
export type Assembled = Always & AtTimes

/** The cutting out of a piece. */
export function cutId(piece: string): string {
  return `cut-${piece}`
}

/**
 * Fits drafts together: a piece is cut before it is used; what is done to it as a single layer is done before it is joined,
 * stage by stage; what a seam catches is held before it; hardware comes after the last seam, and the last look after all.
 * A need that no draft has, or a circle of needs, is a bug of whoever wrote the drafts, and thrown.
 */
export function assemble(drafts: readonly Draft[]): readonly Assembled[] {
  const ids = new Set(drafts.map(({ id }) => id))
  if (ids.size < drafts.length) throw new Error(`Two steps of one name among ${[...ids].join(', ')}`)
  const index = indexOf(drafts)
  const needs = new Map(drafts.map(draft => [draft.id, needsOf(draft, index)]))
  for (const [id, list] of needs)
    for (const need of list)
      if (!ids.has(need)) throw new Error(`The step ${id} needs ${need}, which is not there`)
  readyBeforeRuns(drafts, needs)
  const before = ancestryOf(needs)
  return drafts.map(draft => placed(draft, before.nearest(needs.get(draft.id) ?? [])))
}

/** Written out, not spread: a copy of a record of so many names is made name by name, and takes five times its room. */
function placed(draft: Draft, needs: readonly string[]): Assembled {
  return {
    id: draft.id,
    kind: draft.kind,
    place: draft.place,
    minutes: draft.minutes,
    name: draft.name,
    does: draft.does,
    why: draft.why,
    pieces: draft.pieces ?? none,
    notions: draft.notions ?? none,
    needs,
    face: draft.face,
    tools: draft.tools,
    wait: draft.wait,
    within: draft.within,
    check: draft.check,
    gate: draft.gate,
    cautions: draft.cautions,
    joining: draft.joining,
    measures: draft.measures,
    on: draft.on,
    turn: draft.turn,
    goes: draft.goes,
    stitchedMm: draft.stitchedMm,
  }
}

/** The drafts by what others look for in them, so that each is looked through once. */
interface Index {
  readonly measuring: ReadonlyMap<string, readonly Draft[]>
  readonly preparing: ReadonlyMap<string, readonly Draft[]>
  readonly caught: readonly string[]
  readonly held: readonly string[]
  readonly folds: readonly string[]
  readonly lasts: readonly string[]
  readonly after: readonly string[]
}

function indexOf(drafts: readonly Draft[]): Index {
  const ids = (isFound: (draft: Draft) => boolean) => drafts.filter(isFound).map(({ id }) => id)
  return {
    measuring: byPiece(drafts, measuredBy),
    preparing: byPiece(drafts, ({ on }) => (on ? [on.piece] : none)),
    caught: ids(({ goes }) => goes === 'into-the-seam'),
    held: ids(({ goes }) => goes === 'into-the-seam' || goes === 'to-the-edge'),
    folds: ids(draft => turnsAt(draft, 'folds')),
    lasts: ids(draft => turnsAt(draft, 'last')),
    after: ids(({ goes, kind }) => goes === 'after-the-last' && kind !== 'finish'),
  }
}

const none: readonly string[] = []

/** The pieces whose sizes are taken off the work there. */
function measuredBy({ measures }: Draft): readonly string[] {
  if (!measures) return none
  return measures.flatMap(measure => ('piece' in measure && measure.side !== 'flap' ? [measure.piece] : []))
}

function byPiece(
  drafts: readonly Draft[],
  piecesOf: (draft: Draft) => readonly string[],
): ReadonlyMap<string, readonly Draft[]> {
  const found = new Map<string, Draft[]>()
  for (const draft of drafts)
    for (const piece of piecesOf(draft)) {
      const known = found.get(piece)
      if (known) known.push(draft)
      else found.set(piece, [draft])
    }
  return found
}

/** Each once; a step does not need itself. */
function needsOf(draft: Draft, index: Index): string[] {
  const { id, needs = none, pieces = none, kind, goes } = draft
  const found: string[] = []
  const add = (list: readonly string[]) => {
    for (const need of list) if (need !== id && !found.includes(need)) found.push(need)
  }
  add(needs)
  for (const piece of pieces) add(id === cutId(piece) ? measuring(piece, index) : [cutId(piece)])
  if (kind !== 'cut') for (const piece of pieces) add(preparing(draft, piece, index))
  add(heldBefore(draft, index))
  if (goes === 'to-the-edge') add(index.folds)
  if (goes === 'after-the-last') add(index.lasts)
  if (kind === 'finish') add(index.after)
  return found
}

/** What is measured first is cut when it has been measured. */
function measuring(piece: string, index: Index): readonly string[] {
  const found = index.measuring.get(piece)
  return found ? found.filter(({ pieces = none }) => !pieces.includes(piece)).map(({ id }) => id) : none
}

/** The earlier stages of a single layer; all of them where it is joined. */
function preparing(draft: Draft, piece: string, index: Index): readonly string[] {
  const found = index.preparing.get(piece)
  if (!found) return none
  const own = draft.on?.piece === piece ? stages.indexOf(draft.on.stage) : stages.length
  return found.filter(({ on }) => on !== undefined && stages.indexOf(on.stage) < own).map(({ id }) => id)
}

/** What is held for a seam is held before the seam, and before one looks whether it is right. */
function heldBefore(draft: Draft, { held, caught }: Index): readonly string[] {
  if (turnsAt(draft, 'catches')) return held
  return turnsAt(draft, 'looks') ? caught : none
}

/** What must follow within minutes is ready before the run begins. */
function readyBeforeRuns(drafts: readonly Draft[], needs: ReadonlyMap<string, string[]>): void {
  for (const { id } of drafts.filter(({ within }) => within !== undefined).toReversed()) {
    const ready = needs.get(id) ?? []
    const followers = drafts.filter(draft => needs.get(draft.id)?.includes(id))
    for (const follower of followers)
      for (const need of needs.get(follower.id) ?? [])
        if (need !== id && !ready.includes(need)) ready.push(need)
  }
}

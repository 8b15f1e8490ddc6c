import { ancestryOf } from './ancestry.js'
import { stages, turnsAt, type Draft } from './draft.js'

/** A draft in its place: all that must come before it. */
export interface Assembled extends Draft {
  readonly pieces: readonly string[]
  readonly notions: readonly string[]
  readonly needs: readonly string[]
}

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
  const needs = new Map<string, Set<string>>(
    drafts.map(draft => [draft.id, new Set(needsOf(draft, index).filter(id => id !== draft.id))]),
  )
  for (const [id, set] of needs)
    for (const need of set)
      if (!ids.has(need)) throw new Error(`The step ${id} needs ${need}, which is not there`)
  readyBeforeRuns(drafts, needs)
  const before = ancestryOf(needs)
  return drafts.map(draft => ({
    ...draft,
    pieces: draft.pieces ?? [],
    notions: draft.notions ?? [],
    needs: before.nearest([...(needs.get(draft.id) ?? [])]),
  }))
}

/** The drafts by what others look for in them, so that each is looked through once. */
interface Index {
  readonly measuring: ReadonlyMap<string, readonly Draft[]>
  readonly preparing: ReadonlyMap<string, readonly Draft[]>
  readonly held: readonly Draft[]
  readonly folds: readonly string[]
  readonly lasts: readonly string[]
  readonly after: readonly string[]
}

function indexOf(drafts: readonly Draft[]): Index {
  const ids = (found: readonly Draft[]) => found.map(({ id }) => id)
  return {
    measuring: byPiece(drafts, ({ measures = [] }) =>
      measures.flatMap(measure => ('piece' in measure && measure.side !== 'flap' ? [measure.piece] : [])),
    ),
    preparing: byPiece(drafts, ({ on }) => (on ? [on.piece] : [])),
    held: drafts.filter(({ goes }) => goes === 'into-the-seam' || goes === 'to-the-edge'),
    folds: ids(drafts.filter(draft => turnsAt(draft, 'folds'))),
    lasts: ids(drafts.filter(draft => turnsAt(draft, 'last'))),
    after: ids(drafts.filter(({ goes, kind }) => goes === 'after-the-last' && kind !== 'finish')),
  }
}

function byPiece(
  drafts: readonly Draft[],
  piecesOf: (draft: Draft) => readonly string[],
): ReadonlyMap<string, readonly Draft[]> {
  const found = new Map<string, Draft[]>()
  for (const draft of drafts)
    for (const piece of piecesOf(draft)) found.set(piece, [...(found.get(piece) ?? []), draft])
  return found
}

function needsOf(draft: Draft, index: Index): readonly string[] {
  const { id, needs = [], pieces = [], kind, goes } = draft
  return [
    ...needs,
    ...pieces.flatMap(piece => (id === cutId(piece) ? measuring(piece, index) : [cutId(piece)])),
    ...(kind === 'cut' ? [] : pieces.flatMap(piece => preparing(draft, piece, index))),
    ...heldBefore(draft, index),
    ...(goes === 'to-the-edge' ? index.folds : []),
    ...(goes === 'after-the-last' ? index.lasts : []),
    ...(kind === 'finish' ? index.after : []),
  ]
}

/** What is measured first is cut when it has been measured. */
function measuring(piece: string, index: Index): readonly string[] {
  return (index.measuring.get(piece) ?? [])
    .filter(({ pieces = [] }) => !pieces.includes(piece))
    .map(({ id }) => id)
}

/** The earlier stages of a single layer; all of them where it is joined. */
function preparing(draft: Draft, piece: string, index: Index): readonly string[] {
  const own = draft.on?.piece === piece ? stages.indexOf(draft.on.stage) : stages.length
  return (index.preparing.get(piece) ?? [])
    .filter(({ on }) => on !== undefined && stages.indexOf(on.stage) < own)
    .map(({ id }) => id)
}

/** What is held for a seam is held before the seam, and before one looks whether it is right. */
function heldBefore(draft: Draft, { held }: Index): readonly string[] {
  if (turnsAt(draft, 'catches')) return held.map(({ id }) => id)
  if (!turnsAt(draft, 'looks')) return []
  return held.filter(({ goes }) => goes === 'into-the-seam').map(({ id }) => id)
}

/** What must follow within minutes is ready before the run begins. */
function readyBeforeRuns(drafts: readonly Draft[], needs: Map<string, Set<string>>): void {
  for (const { id } of drafts.filter(({ within }) => within !== undefined).toReversed()) {
    const followers = drafts.filter(draft => needs.get(draft.id)?.has(id))
    for (const follower of followers)
      for (const need of needs.get(follower.id) ?? []) if (need !== id) needs.get(id)?.add(need)
  }
}

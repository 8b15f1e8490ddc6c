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
  const needs = new Map<string, Set<string>>(
    drafts.map(draft => [draft.id, new Set([...needsOf(draft, drafts)].filter(id => id !== draft.id))]),
  )
  for (const [id, set] of needs)
    for (const need of set)
      if (!ids.has(need)) throw new Error(`The step ${id} needs ${need}, which is not there`)
  readyBeforeRuns(drafts, needs)
  const before = ancestorsOf(needs)
  return drafts.map(draft => ({
    ...draft,
    pieces: draft.pieces ?? [],
    notions: draft.notions ?? [],
    needs: nearest(needs.get(draft.id) ?? new Set(), before),
  }))
}

function needsOf(draft: Draft, drafts: readonly Draft[]): ReadonlySet<string> {
  const { id, needs = [], pieces = [] } = draft
  const others = drafts.filter(other => other.id !== id)
  return new Set([
    ...needs,
    ...pieces.flatMap(piece => (id === cutId(piece) ? measuring(piece, others) : [cutId(piece)])),
    ...pieces.flatMap(piece => (draft.kind === 'cut' ? [] : preparing(draft, piece, others))),
    ...heldBefore(draft, others),
    ...(draft.goes === 'to-the-edge' ? idsOf(others.filter(other => turnsAt(other, 'folds'))) : []),
    ...(draft.goes === 'after-the-last' ? idsOf(others.filter(other => turnsAt(other, 'last'))) : []),
    ...(draft.kind === 'finish'
      ? idsOf(others.filter(({ goes, kind }) => goes === 'after-the-last' && kind !== 'finish'))
      : []),
  ])
}

const idsOf = (drafts: readonly Draft[]) => drafts.map(({ id }) => id)

/** What is measured first is cut when it has been measured. */
function measuring(piece: string, others: readonly Draft[]): readonly string[] {
  return idsOf(
    others.filter(({ measures = [] }) =>
      measures.some(measure => 'piece' in measure && measure.piece === piece && measure.side !== 'flap'),
    ),
  ).filter(id => others.find(other => other.id === id)?.pieces?.includes(piece) !== true)
}

/** The earlier stages of a single layer; all of them where it is joined. */
function preparing(draft: Draft, piece: string, others: readonly Draft[]): readonly string[] {
  const own = draft.on?.piece === piece ? stages.indexOf(draft.on.stage) : stages.length
  return idsOf(others.filter(({ on }) => on?.piece === piece && stages.indexOf(on.stage) < own))
}

/** What is held for a seam is held before the seam, and before one looks whether it is right. */
function heldBefore(draft: Draft, others: readonly Draft[]): readonly string[] {
  const held = (goes: Draft['goes']) => idsOf(others.filter(other => other.goes === goes))
  return [
    ...(turnsAt(draft, 'catches') ? [...held('into-the-seam'), ...held('to-the-edge')] : []),
    ...(turnsAt(draft, 'looks') ? held('into-the-seam') : []),
  ]
}

/** What must follow within minutes is ready before the run begins. */
function readyBeforeRuns(drafts: readonly Draft[], needs: Map<string, Set<string>>): void {
  for (const { id } of drafts.filter(({ within }) => within !== undefined).toReversed()) {
    const followers = drafts.filter(draft => needs.get(draft.id)?.has(id))
    for (const follower of followers)
      for (const need of needs.get(follower.id) ?? []) if (need !== id) needs.get(id)?.add(need)
  }
}

/** All that comes before each step, near and far. A circle is a bug. */
export function ancestorsOf(
  needs: ReadonlyMap<string, ReadonlySet<string> | readonly string[]>,
): ReadonlyMap<string, ReadonlySet<string>> {
  const known = new Map<string, ReadonlySet<string>>()
  const visit = (id: string, path: readonly string[]): ReadonlySet<string> => {
    const found = known.get(id)
    if (found) return found
    if (path.includes(id)) throw new Error(`Steps need one another in a circle: ${[...path, id].join(' → ')}`)
    const all = new Set<string>()
    for (const need of needs.get(id) ?? []) {
      all.add(need)
      for (const far of visit(need, [...path, id])) all.add(far)
    }
    known.set(id, all)
    return all
  }
  for (const id of needs.keys()) visit(id, [])
  return known
}

/** Without those needs that another of them needs already. */
function nearest(
  needs: ReadonlySet<string>,
  before: ReadonlyMap<string, ReadonlySet<string>>,
): readonly string[] {
  return [...needs].filter(need => ![...needs].some(other => before.get(other)?.has(need)))
}

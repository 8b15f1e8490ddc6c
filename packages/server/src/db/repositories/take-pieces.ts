import {
  checkLeftOvers,
  type Issue,
  type StashPieceBody,
  type StashPieceRow,
  type TypedLeftOver,
  type Unit,
} from '@snowdrift/core'
import type { WhereOptions } from 'sequelize'
import {
  changePieces,
  eventsOf,
  holdPieces,
  insertPieces,
  noteEvents,
  type StashTools,
} from './stash-statements.js'

export interface ChosenPiece {
  readonly id: string
  readonly version: number
}

export interface CutPiece extends ChosenPiece {
  /** How many are cut where it is several alike; all of them unless said. */
  readonly count?: number | undefined
  readonly leftOvers: readonly TypedLeftOver[]
}

/** All pieces that a take asked for, as they stand now; or why not one of them was taken. */
export type Taken =
  | { readonly kind: 'taken'; readonly pieces: readonly StashPieceRow[] }
  /** The first that stands otherwise than it was chosen. */
  | { readonly kind: 'stale'; readonly current: StashPieceRow }
  | { readonly kind: 'missing' }
  | { readonly kind: 'no-cover' }
  | { readonly kind: 'unfit'; readonly issues: readonly Issue[] }

/** Keeps free pieces for a cover that there is: all or none. */
export function reservePieces(
  tools: StashTools,
  workshop: string,
  coverId: string,
  chosen: readonly ChosenPiece[],
): Promise<Taken> {
  return within(tools, async inner => {
    if (!(await holdCover(inner, workshop, coverId))) return { kind: 'no-cover' }
    const held = await holdChosen(inner, workshop, chosen, isFree)
    if (held.kind !== 'held') return held
    await noteEvents(inner, workshop, eventsOf(held.pieces, 'reserved'))
    const changes = { state: 'reserved', coverId }
    return { kind: 'taken', pieces: await changePieces(inner, workshop, held.pieces, changes) }
  })
}

/** Lets go of pieces that are kept for this cover: all or none. */
export function releasePieces(
  tools: StashTools,
  workshop: string,
  coverId: string,
  chosen: readonly ChosenPiece[],
): Promise<Taken> {
  return within(tools, async inner => {
    const held = await holdChosen(inner, workshop, chosen, piece => isKeptFor(piece, coverId))
    return held.kind === 'held' ? letGo(inner, workshop, held.pieces) : held
  })
}

/** Lets go of everything that is kept for a cover. */
export async function releaseAllOf(tools: StashTools, workshop: string, coverId: string): Promise<void> {
  await within(tools, async inner =>
    letGo(inner, workshop, await holdPieces(inner, workshop, { state: 'reserved', coverId })),
  )
}

/** Cuts pieces that are free or kept for this cover, and puts what is left back: all or none. */
export function cutPieces(
  tools: StashTools,
  workshop: string,
  coverId: string,
  chosen: readonly CutPiece[],
): Promise<Taken> {
  return within(tools, async inner => {
    if (!(await holdCover(inner, workshop, coverId))) return { kind: 'no-cover' }
    const held = await holdChosen(
      inner,
      workshop,
      chosen,
      piece => isFree(piece) || isKeptFor(piece, coverId),
    )
    if (held.kind !== 'held') return held
    const cuts = pairUp(held.pieces, chosen)
    const issues = await misfits(inner, workshop, cuts)
    if (issues.length > 0) return { kind: 'unfit', issues }
    return { kind: 'taken', pieces: await cut(inner, workshop, coverId, cuts) }
  })
}

interface Cut {
  readonly piece: StashPieceRow
  readonly count: number
  readonly leftOvers: readonly StashPieceBody[]
}

async function cut(
  tools: StashTools,
  workshop: string,
  coverId: string,
  cuts: readonly Cut[],
): Promise<readonly StashPieceRow[]> {
  await noteEvents(
    tools,
    workshop,
    eventsOf(
      cuts.map(({ piece, count }) => ({ ...piece, count })),
      'cut',
    ),
  )
  const back = await insertPieces(
    tools,
    workshop,
    cuts.map(({ piece: { materialId }, leftOvers }) => ({ materialId, pieces: leftOvers })),
  )
  await noteEvents(tools, workshop, eventsOf(back, 'left-over'))
  const whole = cuts.filter(({ piece, count }) => count >= piece.count).map(({ piece }) => piece)
  const done = [...(await changePieces(tools, workshop, whole, { state: 'cut', coverId }))]
  for (const { piece, count } of cuts)
    if (count < piece.count)
      done.push(...(await changePieces(tools, workshop, [piece], { count: piece.count - count })))
  return done
}

/** Each held piece with what was said of its cutting. */
function pairUp(pieces: readonly StashPieceRow[], chosen: readonly CutPiece[]): readonly Cut[] {
  const said = new Map(chosen.map(one => [one.id, one]))
  return pieces.map(piece => {
    const { count = piece.count, leftOvers = [] } = said.get(piece.id) ?? {}
    return {
      piece,
      count,
      // Nothing that is to be avoided lies on what is left: it counts as taken.
      leftOvers: leftOvers.map(({ width, length, marks = [] }) => ({
        ...{ source: 'left-over', count: 1, note: '', avoid: [] },
        ...{ width, length, marks },
      })),
    }
  })
}

async function misfits(
  { session: { models, transaction } }: StashTools,
  workshopId: string,
  cuts: readonly Cut[],
): Promise<readonly Issue[]> {
  const where = { workshopId, id: cuts.map(({ piece }) => piece.materialId) } as WhereOptions
  const rows = await models.Material.findAll({ where, attributes: ['id', 'unit'], transaction, raw: true })
  const units = new Map((rows as unknown as { id: string; unit: Unit }[]).map(({ id, unit }) => [id, unit]))
  return cuts.flatMap(({ piece, count, leftOvers }, index) =>
    checkLeftOvers(piece, count, leftOvers, units.get(piece.materialId) ?? 'in').map(({ path, message }) => ({
      path: `pieces[${index}].${path}`,
      message,
    })),
  )
}

async function letGo(tools: StashTools, workshop: string, pieces: readonly StashPieceRow[]): Promise<Taken> {
  await noteEvents(tools, workshop, eventsOf(pieces, 'released'))
  const changes = { state: 'free', coverId: null }
  return { kind: 'taken', pieces: await changePieces(tools, workshop, pieces, changes) }
}

type Held =
  { readonly kind: 'held'; readonly pieces: readonly StashPieceRow[] } | Exclude<Taken, { kind: 'taken' }>

/** The chosen pieces, held; or the first that is gone or stands otherwise than it was chosen. */
async function holdChosen(
  tools: StashTools,
  workshop: string,
  chosen: readonly ChosenPiece[],
  mayTake: (piece: StashPieceRow) => boolean,
): Promise<Held> {
  const versions = new Map(chosen.map(({ id, version }) => [id, version]))
  const pieces = await holdPieces(tools, workshop, { id: [...versions.keys()] })
  if (pieces.length < versions.size) return { kind: 'missing' }
  const other = pieces.find(piece => piece.version !== versions.get(piece.id) || !mayTake(piece))
  return other ? { kind: 'stale', current: other } : { kind: 'held', pieces }
}

/** Whether there is such a cover; it cannot be deleted before the transaction ends. */
async function holdCover(
  { session: { models, transaction } }: StashTools,
  workshopId: string,
  id: string,
): Promise<boolean> {
  const where = { workshopId, id, deletedAt: null } as WhereOptions
  const lock = transaction?.LOCK.SHARE ?? true
  return (await models.Cover.findOne({ where, attributes: ['id'], transaction, lock })) !== null
}

function within<Result>(tools: StashTools, work: (inner: StashTools) => Promise<Result>): Promise<Result> {
  return tools.session.together(session => work({ ...tools, session }))
}

function isFree({ state }: StashPieceRow): boolean {
  return state === 'free'
}

function isKeptFor({ state, coverId }: StashPieceRow, cover: string): boolean {
  return state === 'reserved' && coverId === cover
}

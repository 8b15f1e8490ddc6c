import type { Cover } from '../file/cover.js'
import type { CoverFile } from '../file/cover-schema.js'
import { formatLength } from '../length/format.js'
import { roundDownToGrid } from '../length/grid.js'
import { add, mm, scale, subtract, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import { quiltedTakeUp } from '../material/layer.js'
import type { Notion } from '../piece/notion.js'
import type { Piece } from '../piece/piece.js'
import { sideAsCut } from '../piece/side.js'
import { jobFor, type Plan } from '../plan/plan.js'
import { cutId } from './assembled.js'
import { madeKey, madeLength, plannedSize, type Measured } from './made-sizes.js'
import { isDone, type Progress } from './progress.js'

type Way = 'width' | 'height'
const ways = ['width', 'height'] as const

/** What was made, as it can be read in the unit it was typed in. */
export interface Made {
  readonly progress: Progress
  readonly unit: Unit
}

/**
 * The cover with the outer as it was really cut, trimmed, folded or sewn: what is not cut yet follows from it, as from a
 * panel that is cut already. The same file where all of it is as planned, or nobody said.
 */
export function followMade(file: CoverFile, cover: Cover, plan: Plan, made: Made): CoverFile {
  const outer = plan.pieces.find(({ id }) => id === 'outer')
  if (!outer) return file
  const [width, height] = ways.map(way => panelAsMade(plan, way, made))
  const isFolded = 'fittedWidth' in cover.family.options(cover.unit).shape
  const fold = isFolded ? foldedOnBook(plan, width, made) : undefined
  if (width === undefined && height === undefined && fold === undefined) return file
  const panel = { width: width ?? sizeOf(outer, 'width'), height: height ?? sizeOf(outer, 'height') }
  const say = (length: Length) => formatLength(length, cover.unit)
  const cut = outer.trimTo && outer.trimTo.piece !== 'outer' ? beforeQuilting(cover, plan, panel) : panel
  const { hand, ...unhanded } = file
  // how the seams of this one came out is seen: nothing is to be expected of the hand any more
  const isSewn = ways.some(side => isEntered(made, { sewn: 'outer', side }))
  return {
    ...unhanded,
    ...(hand && !isSewn && { hand }),
    ...(fold !== undefined && { options: { ...file.options, fittedWidth: say(fold) } }),
    sizing: { mode: 'cut', width: say(cut.width), height: say(cut.height) },
  }
}

/** What was said last of the outer: as it is sewn, as it was cut, or what its lining was cut to while it was not. */
function panelAsMade(plan: Plan, way: Way, { progress, unit }: Made): Length | undefined {
  const sewn = madeLength(progress, { sewn: 'outer', side: way }, unit)
  if (sewn !== undefined && plan.allowances) return add(sewn, plan.allowances[way])
  const cut = madeLength(progress, { piece: 'outer', side: way }, unit)
  if (cut !== undefined || isDone(progress, cutId('outer'))) return cut
  const alike = ['outer', 'lining'].map(piece => plannedSize(plan, { piece, side: way }))
  return alike[0] === alike[1] ? madeLength(progress, { piece: 'lining', side: way }, unit) : undefined
}

function sizeOf({ trimTo, ...piece }: Piece, way: Way): Length {
  return trimTo?.[way] ?? piece[way].cut
}

/** A quilted outer is trimmed to its lining, which is cut on the grid: down to the mark below, as the outer can be trimmed once more. */
function beforeQuilting(cover: Cover, plan: Plan, trimmed: Readonly<Record<Way, Length>>) {
  const { stack, grid } = jobFor(cover)
  const { trimAllowance } = plan.settled.options as { readonly trimAllowance: Length }
  const takeUp = quiltedTakeUp(
    stack.map(layer =>
      layer.role === 'outer' || layer.role === 'padding' ? { ...layer, quilted: true } : layer,
    ),
  )
  const panel = (size: Length) => add(scale(roundDownToGrid(size, grid), 1 / (1 - takeUp)), trimAllowance)
  return { width: panel(trimmed.width), height: panel(trimmed.height) }
}

/** Folds that were set on the closed book: what lies between them is what both flaps leave of the sewn strip. */
function foldedOnBook(plan: Plan, width: Length | undefined, { progress, unit }: Made): Length | undefined {
  const flap = madeLength(progress, { piece: 'outer', side: 'flap' }, unit)
  const cut = width ?? plannedSize(plan, { piece: 'outer', side: 'width' })
  if (flap === undefined || cut === undefined || !plan.allowances) return undefined
  return subtract(subtract(cut, plan.allowances.width), scale(flap, 2))
}

/** The plan with all other pieces and lengths as they were cut or measured: what the steps say from now on. */
export function withMade(plan: Plan, made: Made): Plan {
  if (Object.values(made.progress.made).every(({ typed }) => typed === '')) return plan
  return {
    ...plan,
    pieces: plan.pieces.map(piece => (piece.id === 'outer' ? piece : pieceAsMade(piece, made))),
    notions: plan.notions.map(notion => notionAsMade(notion, made)),
  }
}

function pieceAsMade(piece: Piece, { progress, unit }: Made): Piece {
  const [width, height] = ways.map(side => madeLength(progress, { piece: piece.id, side }, unit))
  if (width === undefined && height === undefined) return piece
  const trimTo = piece.trimTo && {
    ...piece.trimTo,
    width: width ?? piece.trimTo.width,
    height: height ?? piece.trimTo.height,
  }
  if (trimTo) return { ...piece, trimTo }
  return {
    ...piece,
    ...(width !== undefined && { width: sideAsCut('as it was made', width) }),
    ...(height !== undefined && { height: sideAsCut('as it was made', height) }),
  }
}

function notionAsMade(notion: Notion, { progress, unit }: Made): Notion {
  const length = madeLength(progress, { notion: notion.id, side: 'length' }, unit)
  return length === undefined || !notion.length
    ? notion
    : { ...notion, length: sideAsCut('as it was measured', length) }
}

/** A piece that should now be cut otherwise than it was planned. */
export interface FollowingPiece {
  readonly piece: string
  readonly before: { readonly width: Length; readonly height: Length }
  readonly now: { readonly width: Length; readonly height: Length }
  /** Not cut yet: it follows. Cut and larger: it can be trimmed. Cut and smaller: it is cut anew, or the difference is lived with. */
  readonly state: 'follows' | 'trim' | 'too-small'
}

/**
 * What a made size changes in the other pieces: as they are, or were to be, against as they follow. Once the outer is
 * sewn, what is cut is sewn with it and changes no more; what was measured first is as it was measured.
 */
export function whatFollows(planned: Plan, followed: Plan, made: Made): readonly FollowingPiece[] {
  const isSewn = ways.some(side => isEntered(made, { sewn: 'outer', side }))
  return withMade(planned, made).pieces.flatMap(piece => {
    if (piece.id === 'outer') return []
    if (piece.measureFirst && ways.some(side => isEntered(made, { piece: piece.id, side }))) return []
    const now = followed.pieces.find(({ id }) => id === piece.id)
    if (!now || (now.width.cut === piece.width.cut && now.height.cut === piece.height.cut)) return []
    const isCut = isDone(made.progress, cutId(piece.id))
    if (isCut && isSewn) return []
    const smaller = now.width.cut > piece.width.cut || now.height.cut > piece.height.cut
    return [
      {
        piece: piece.id,
        before: { width: piece.width.cut, height: piece.height.cut },
        now: { width: now.width.cut, height: now.height.cut },
        state: isCut ? (smaller ? 'too-small' : 'trim') : 'follows',
      } as const,
    ]
  })
}

function isEntered({ progress }: Made, measure: Measured): boolean {
  return Boolean(progress.made[madeKey(measure)]?.typed)
}

/** What must be left beyond a stitch line. Source: docs/craft.md, Making. */
const leastSeam = mm(3)

/** How the seams of a sewn cover are moved so that it fits after all: out is more than nothing. */
export interface SeamMove {
  readonly direction: Way
  /** Each of the two seams. */
  readonly each: Length
  /** Whether the allowance has that much: a seam keeps 3 mm. */
  readonly reaches: boolean
}

/**
 * Where a cover as it was made will not go or is baggy: how far each of its two seams is let out or taken in, to the
 * middle of snug. None where it fits, or has no seams.
 */
export function seamMoves({ fits, allowances, settled }: Plan): readonly SeamMove[] {
  if (!allowances) return []
  return fits.flatMap(({ direction, verdict, ease, bands, parts }) => {
    if (verdict !== 'will-not-go' && verdict !== 'baggy') return []
    const wanted = scale(add(bands.snug, bands.easy), 1 / 2)
    const each = scale(subtract(wanted, ease), parts / 2)
    return [{ direction, each, reaches: each <= subtract(settled.seam, leastSeam) }]
  })
}

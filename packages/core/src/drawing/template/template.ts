import type { Strip, StripLine, StripPoint } from '../../families/strip.js'
import type { Saying } from '../../finding/say.js'
import { clamp, scale, subtract, zero, type Length } from '../../length/length.js'
import type { Unit } from '../../length/unit.js'
import type { Piece } from '../../piece/piece.js'
import type { Plan } from '../../plan/plan.js'
import { line, rectangle, text, type Drawing, type Mark, type Point } from '../drawing.js'
import { lineStyles } from '../strip-drawing.js'
import { cutOutline, seamOutline } from './cut-outline.js'
import { lyingOf, onPiece, type Lying } from './lying.js'
import { middleNotches, placeNotches } from './notches.js'
import { drawPlaces } from './places.js'

/** A piece at its true size, right side up: to be printed, laid on the cloth and cut along. */
export interface Template {
  readonly piece: Piece
  readonly drawing: Drawing
  /** A rectangle with nothing on it that two numbers do not say. */
  readonly isPlain: boolean
}

export interface Naming {
  readonly nameOf: (id: string) => string
  readonly say: Saying
  readonly unit: Unit
}

/** The templates of a cover, one a piece. Source: docs/craft.md, Paper. */
export function drawTemplates(plan: Plan, naming: Naming): readonly Template[] {
  return plan.pieces.map(piece => drawTemplate(piece, plan, naming))
}

/** Cut line, seam, folds, quilting, holes and what is put on; grain, top, middles, name, size and count. */
export function drawTemplate(piece: Piece, plan: Plan, { nameOf, say, unit }: Naming): Template {
  const [width, height] = [piece.width.cut, piece.height.cut]
  const lying = lyingOf(piece, plan)
  const outline = cutOutline(piece, plan, lying)
  const within = lying ? linesOn(piece, plan.strip, lying) : []
  const holes = lying ? drawPlaces(plan.strip, lying) : []
  const isSewnRound = plan.allowances && isSeamed(piece, plan)
  const seam = isSewnRound ? [seamOutline(piece, plan, lying)] : []
  const notches = isSewnRound && lying ? placeNotches(plan, lying) : []
  const creases = creasesOn(piece)
  const trim = piece.trimTo ? trimLine(piece) : []
  const isPlain =
    outline.steps.length === 3 && outline.steps.every(step => !('radius' in step)) && holes.length === 0
  return {
    piece,
    isPlain: isPlain && [within, notches, creases].every(marks => marks.length === 0),
    drawing: {
      title: nameOf(piece.id),
      from: [zero, zero],
      width,
      height,
      marks: [
        outline,
        ...trim,
        ...seam,
        ...within,
        ...creases,
        ...holes,
        ...middleNotches(width, height, unit),
        ...grain(width, height),
        ...caption(piece, { name: nameOf(piece.id), size: `${say(width)} × ${say(height)}` }),
        ...notches,
      ],
    },
  }
}

const drawnOn: ReadonlySet<StripLine['kind']> = new Set(['fold', 'quilting', 'slit', 'zip', 'opening', 'hem'])

/** Folds, quilting, slits, zip and opening as they run across the piece, cut off at its edges. */
function linesOn({ role }: Piece, { lines }: Strip, lying: Lying): readonly Mark[] {
  const { width, height } = lying.area
  return lines.flatMap(({ kind, from, to }) => {
    if (!drawnOn.has(kind) || (kind === 'quilting' && role === 'lining')) return []
    const clip = (place: StripPoint): Point => {
      const [x, y] = onPiece(place, lying)
      return [clamp(x, zero, width), clamp(y, zero, height)]
    }
    const ends = [clip(from), clip(to)] as const
    const [start, end] = ends[0][0] > ends[1][0] ? [ends[1], ends[0]] : ends
    const isOutside = start[0] === end[0] && start[1] === end[1]
    const isEdge = (axis: 0 | 1, size: Length) =>
      start[axis] === end[axis] && (start[axis] === zero || start[axis] === size)
    return isOutside || isEdge(0, width) || isEdge(1, height) ? [] : [line(start, end, lineStyles[kind])]
  })
}

/** Where a strip is folded and stitched by itself. */
function creasesOn({ creases = [] }: Piece): readonly Mark[] {
  return creases.map(({ kind, from, to }) => line(from, to, lineStyles[kind]))
}

/** What is cut with the outer is seamed with it; backings end before the seam, or go with it. */
function isSeamed({ id, role, width, height, trimTo }: Piece, { settled }: Plan): boolean {
  if (role !== 'outer' && role !== 'lining') return false
  const least = scale(settled.seam, 4)
  return trimTo === undefined && id !== 'strap' && width.cut > least && height.cut > least
}

/** Where what is cut oversize is trimmed to, in its middle. */
function trimLine({ width, height, trimTo }: Piece): readonly Mark[] {
  if (!trimTo) return []
  const at: Point = [
    scale(subtract(width.cut, trimTo.width), 1 / 2),
    scale(subtract(height.cut, trimTo.height), 1 / 2),
  ]
  return [rectangle(at, trimTo.width, trimTo.height, { style: 'hidden' })]
}

/** The thread of the cloth, and which end is the top. */
function grain(width: Length, height: Length): readonly Mark[] {
  const x = scale(width, 1 / 8)
  return [line([x, scale(height, 0.85)], [x, scale(height, 0.15)], 'hint', 'end')]
}

function caption(
  { width, height, count }: Piece,
  { name, size }: { readonly name: string; readonly size: string },
): readonly Mark[] {
  const at = (share: number): Point => [scale(width.cut, 1 / 2), scale(height.cut, share)]
  const words = `${name}, cut ${count}`
  if (width.cut < scale(height.cut, 1 / 3)) return [text(at(0.4), `${words}: ${size}`, { turned: true })]
  return [text(at(0.42), words), text(at(0.55), size)]
}

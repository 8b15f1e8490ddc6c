import type { CoverFile } from '../file/cover-schema.js'
import { parseLength } from '../length/parse.js'
import { formatLength } from '../length/format.js'
import { absolute, longest, scale, subtract, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { Plan } from '../plan/plan.js'
import { cutId } from './assembled.js'
import { isDone, type Progress } from './progress.js'
import type { MeasuredSide, Step, StepMeasure } from './step.js'

/** Names what was measured: “piece/outer/width”. */
export function madeKey(measure: StepMeasure): string {
  return 'piece' in measure
    ? `piece/${measure.piece}/${measure.side}`
    : `notion/${measure.notion}/${measure.side}`
}

/** What can be entered at a step: what it measures, and the size of a piece that it cuts, or trims where it was cut larger. */
export function measuredAt({ kind, pieces, measures }: Step, plan: Plan): readonly StepMeasure[] {
  const [first] = pieces
  const piece = plan.pieces.find(({ id }) => id === first)
  const sizes = piece && kind === (piece.trimTo ? 'trim' : 'cut')
  const cut = sizes ? (['width', 'height'] as const).map(side => ({ piece: piece.id, side })) : []
  return [...measures, ...cut]
}

/** What the plan says of it; undefined for what it does not reckon, such as where a button goes. */
export function plannedSize(plan: Plan, measure: StepMeasure): Length | undefined {
  if ('notion' in measure) return plan.notions.find(({ id }) => id === measure.notion)?.length?.cut
  const piece = plan.pieces.find(({ id }) => id === measure.piece)
  if (measure.side === 'flap') return plan.strip.panels.find(({ kind }) => kind === 'flap')?.width
  if (!piece) return undefined
  const trimmed = piece.trimTo
  return measure.side === 'height'
    ? (trimmed?.height ?? piece.height.cut)
    : (trimmed?.width ?? piece.width.cut)
}

/** Why a made size is doubted: more than a hand errs. */
export type MadeDoubt =
  | { readonly kind: 'other-unit'; readonly instead: Length }
  | { readonly kind: 'swapped' }
  | { readonly kind: 'far'; readonly by: Length }

/** Hands err by no more than ½ in, or a twentieth of a long piece. */
export function doubtMade(plan: Plan, measure: StepMeasure, made: Length, unit: Unit): MadeDoubt | undefined {
  const planned = plannedSize(plan, measure)
  if (planned === undefined) return undefined
  const near = (one: Length, other: Length) =>
    absolute(subtract(one, other)) <= longest(customary(1 / 2, unit), scale(other, 1 / 20))
  if (near(made, planned)) return undefined
  const inMillimetres = scale(made, 1 / 25.4)
  const inInches = scale(made, 25.4)
  if (near(inInches, planned)) return { kind: 'other-unit', instead: inInches }
  if (near(inMillimetres, planned)) return { kind: 'other-unit', instead: inMillimetres }
  const other = otherSide(measure)
  const otherPlanned = other && plannedSize(plan, other)
  if (otherPlanned !== undefined && near(made, otherPlanned)) return { kind: 'swapped' }
  return { kind: 'far', by: absolute(subtract(made, planned)) }
}

function otherSide(measure: StepMeasure): StepMeasure | undefined {
  if ('notion' in measure) return undefined
  const sides: Partial<Record<MeasuredSide, MeasuredSide>> = { width: 'height', height: 'width' }
  const side = sides[measure.side]
  return side && { piece: measure.piece, side }
}

/** A made size as it was read; undefined where none was entered, or it cannot be read. */
export function madeLength({ made }: Progress, measure: StepMeasure, unit: Unit): Length | undefined {
  const typed = made[madeKey(measure)]?.typed
  if (!typed) return undefined
  const read = parseLength(typed, unit)
  return read.ok ? read.length : undefined
}

/**
 * The cover with the outer as it was really cut: what is not cut yet follows from it, as from a panel that is cut already.
 * The same file where the outer is as planned, or nobody said.
 */
export function followMade(file: CoverFile, plan: Plan, progress: Progress, unit: Unit): CoverFile {
  const outer = plan.pieces.find(({ id }) => id === 'outer')
  if (!outer || outer.trimTo) return file
  const of = (side: 'width' | 'height') => madeLength(progress, { piece: 'outer', side }, unit)
  const [width, height] = [of('width'), of('height')]
  if (width === undefined && height === undefined) return file
  const say = (length: Length) => formatLength(length, file.unit ?? 'in')
  return {
    ...file,
    sizing: { mode: 'cut', width: say(width ?? outer.width.cut), height: say(height ?? outer.height.cut) },
  }
}

/** A piece that should now be cut otherwise than it was planned. */
export interface FollowingPiece {
  readonly piece: string
  readonly before: { readonly width: Length; readonly height: Length }
  readonly now: { readonly width: Length; readonly height: Length }
  /** Not cut yet: it follows. Cut and larger: it can be trimmed. Cut and smaller: it is cut anew, or the difference is lived with. */
  readonly state: 'follows' | 'trim' | 'too-small'
}

/** What a made size changes in the other pieces. */
export function whatFollows(planned: Plan, made: Plan, progress: Progress): readonly FollowingPiece[] {
  return planned.pieces.flatMap(piece => {
    if (piece.id === 'outer') return []
    const now = made.pieces.find(({ id }) => id === piece.id)
    if (!now || (now.width.cut === piece.width.cut && now.height.cut === piece.height.cut)) return []
    const isCut = isDone(progress, cutId(piece.id))
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

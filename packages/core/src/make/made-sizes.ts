import { parseLength } from '../length/parse.js'
import { absolute, longest, scale, subtract, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { Plan } from '../plan/plan.js'
import type { Progress } from './progress.js'
import type { MeasuredSide, Step, StepMeasure } from './step.js'

/** The whole outer once it is sewn and turned, lying flat. */
export interface SewnMeasure {
  readonly sewn: 'outer'
  readonly side: 'width' | 'height'
}

/** Whatever of the work can be laid a tape on. */
export type Measured = StepMeasure | SewnMeasure

/** Names what was measured: “piece/outer/width”. */
export function madeKey(measure: Measured): string {
  if ('sewn' in measure) return `sewn/${measure.sewn}/${measure.side}`
  return 'piece' in measure
    ? `piece/${measure.piece}/${measure.side}`
    : `notion/${measure.notion}/${measure.side}`
}

const sides = ['width', 'height'] as const

/**
 * What may have come out otherwise than planned, beside what a step measures in any case: the pieces in hand as they were
 * cut or trimmed, and the outer as it is sewn, from the moment it is turned or tried in.
 */
export function correctableAt(step: Step, plan: Plan, steps: readonly Step[]): readonly Measured[] {
  const known = plan.pieces.filter(({ id }) => step.pieces.includes(id))
  const pieces = known.flatMap(({ id }) => sides.map(side => ({ piece: id, side })))
  const measured = new Set(step.measures.map(madeKey))
  const sewn =
    plan.allowances && isSewnBy(step, steps) ? sides.map(side => ({ sewn: 'outer', side }) as const) : []
  return [...sewn, ...pieces].filter(measure => !measured.has(madeKey(measure)))
}

/** Whether the outer is sewn at a step: it has been turned by then, or tried in where nothing is turned. */
function isSewnBy(step: Step, steps: readonly Step[]): boolean {
  const at = (kind: Step['kind']) =>
    steps.findIndex(other => other.kind === kind && other.pieces.includes('outer'))
  const turned = at('turn')
  const from = turned === -1 ? at('try-in') : turned
  return from !== -1 && steps.findIndex(({ id }) => id === step.id) >= from
}

/** What the plan says of it; undefined for what it does not reckon, such as where a button goes. */
export function plannedSize(plan: Plan, measure: Measured): Length | undefined {
  if ('notion' in measure) return plan.notions.find(({ id }) => id === measure.notion)?.length?.cut
  if (measure.side === 'flap') return plan.strip.panels.find(({ kind }) => kind === 'flap')?.width
  const side = measure.side === 'height' ? 'height' : 'width'
  const piece = plan.pieces.find(({ id }) => id === ('sewn' in measure ? measure.sewn : measure.piece))
  if (!piece) return undefined
  const cut = piece.trimTo?.[side] ?? piece[side].cut
  if (!('sewn' in measure)) return cut
  return plan.allowances && subtract(cut, plan.allowances[side])
}

/** Why a made size is doubted: more than a hand errs. */
export type MadeDoubt =
  | { readonly kind: 'other-unit'; readonly instead: Length }
  | { readonly kind: 'swapped' }
  | { readonly kind: 'far'; readonly by: Length }

/** Hands err by no more than ½ in, or a twentieth of a long piece. */
export function doubtMade(plan: Plan, measure: Measured, made: Length, unit: Unit): MadeDoubt | undefined {
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

function otherSide(measure: Measured): Measured | undefined {
  if ('notion' in measure) return undefined
  const others: Partial<Record<MeasuredSide, 'width' | 'height'>> = { width: 'height', height: 'width' }
  const side = others[measure.side]
  return side && { ...measure, side }
}

/** A made size as it was read; undefined where none was entered, or it cannot be read. */
export function madeLength(
  { made }: Pick<Progress, 'made'>,
  measure: Measured,
  unit: Unit,
): Length | undefined {
  const typed = made[madeKey(measure)]?.typed
  if (!typed) return undefined
  const read = parseLength(typed, unit)
  return read.ok ? read.length : undefined
}

import type { Verdict } from '../../fit/verdict.js'
import type { StepKind } from '../step.js'

export const directions = ['width', 'height'] as const
export type MakeDirection = (typeof directions)[number]

/** Something of a make, by direction, as far as it is known. */
export type ByDirection<Value> = Readonly<Partial<Record<MakeDirection, Value>>>

/** What is known of one make that is over; any part may be missing. Millimetres of the outer. */
export interface MakeRecord {
  readonly id: string
  readonly plannedCutMm: ByDirection<number>
  readonly cutMm: ByDirection<number>
  readonly sewnMm: ByDirection<number>
  /** What the seams and turned edges were meant to take from the piece as cut. */
  readonly allowancesMm: ByDirection<number>
  /** Cut edges, and seam lines, that each dimension went through. */
  readonly edges: ByDirection<number>
  readonly seams: ByDirection<number>
  readonly easePlannedMm: ByDirection<number>
  /** How it went on, as its maker says. */
  readonly wentOn: ByDirection<Verdict>
  /** Whether it fitted, and the chance of it that was foretold: 0 to 1. */
  readonly fit?: boolean
  readonly chance?: number
  /** Active minutes by operation, planned and as they were taken at the table. */
  readonly minutes: Readonly<Partial<Record<StepKind, { readonly planned: number; readonly took: number }>>>
}

/** One deviation that was seen, and of how many equal independent errors it is the mean. */
export interface Observation {
  readonly value: number
  readonly parts: number
}

/** How much wider than meant each seam line came out; none where a part of it is unknown or nothing was sewn. */
export function seamDeviation(make: MakeRecord, direction: MakeDirection): Observation | undefined {
  const [cut, sewn] = [make.cutMm[direction], make.sewnMm[direction]]
  const [allowances, seams] = [make.allowancesMm[direction], make.seams[direction]]
  if (cut === undefined || sewn === undefined || allowances === undefined || !seams) return undefined
  return { value: (cut - allowances - sewn) / seams, parts: seams }
}

/** How much larger than planned it was cut, by edge. */
export function cutDeviation(make: MakeRecord, direction: MakeDirection): Observation | undefined {
  const [cut, planned, edges] = [make.cutMm[direction], make.plannedCutMm[direction], make.edges[direction]]
  if (cut === undefined || planned === undefined || !edges) return undefined
  return { value: (cut - planned) / edges, parts: edges }
}

/** The ease that the cover really got: as planned, and by how much it was sewn otherwise than planned. */
export function easeGotMm(make: MakeRecord, direction: MakeDirection): number | undefined {
  const planned = make.easePlannedMm[direction]
  const [cut, sewn, allowances] = [
    make.plannedCutMm[direction],
    make.sewnMm[direction],
    make.allowancesMm[direction],
  ]
  if (planned === undefined) return undefined
  if (cut === undefined || sewn === undefined || allowances === undefined) return planned
  return planned + sewn - (cut - allowances)
}

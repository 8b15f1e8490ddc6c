import { add, negate, scale, zero, type Length } from '../length/length.js'
import type { ReadingKey } from '../object/reading.js'

/** One part of a size: what it is for, and how much of the size it makes. Negative where it takes away. */
export interface Reason {
  readonly label: string
  readonly length: Length
  /** Left out where nothing makes it err. */
  readonly cause?: Cause
}

/**
 * What a part of a size rests on, and so what makes it err. `reading`: so many times a measurement. `bulk`: the
 * stack’s stand-off. `slope`: padding of that rise that slopes away over that run, (π/2)·(√(run² + rise²) − run).
 * `larger`: whichever of several sums is the larger. `trial`: a trial piece or an old cover that was tried on, which puts
 * right what the tape said.
 */
export type Cause =
  | { readonly kind: 'reading'; readonly key: ReadingKey; readonly times: number }
  | { readonly kind: 'bulk' }
  | { readonly kind: 'slope'; readonly rise: Length; readonly run: Length }
  | { readonly kind: 'larger'; readonly ways: readonly (readonly Reason[])[] }
  | { readonly kind: 'trial' }

/** The sum of the reasons; of none, zero. Exact to the last tick. */
export function totalOf(reasons: readonly Reason[]): Length {
  return add(...reasons.map(reason => reason.length))
}

/** A list of one reason, or of none where the part is nothing. */
export function because(label: string, length: Length, cause?: Cause): readonly Reason[] {
  return length === zero ? [] : [{ label, length, ...(cause && { cause }) }]
}

/** A measurement, or so many times it, as a part of a size. */
export function becauseRead(label: string, key: ReadingKey, length: Length, count = 1): readonly Reason[] {
  return because(label, scale(length, count), { kind: 'reading', key, times: count })
}

/** What a trial piece told of a need: so much more than the tape says. Kept where it told of no difference, too. */
export function becauseTried(told: Length | undefined): readonly Reason[] {
  return told === undefined
    ? []
    : [{ label: 'as the trial piece told', length: told, cause: { kind: 'trial' } }]
}

/** What the stack’s bulk makes of a size. */
export function becauseOfBulk(label: string, length: Length): readonly Reason[] {
  return because(label, length, { kind: 'bulk' })
}

/** The same for a part that takes away. */
export function less(label: string, length: Length): readonly Reason[] {
  return because(label, negate(length))
}

/** A list of one reason that counts twice, such as an allowance at either edge. */
export function twice(label: string, length: Length): readonly Reason[] {
  return because(`${label}, twice`, scale(length, 2))
}

/** A length with a factor, such as the boards of a case counted twice. */
export function times(count: number, label: string, length: Length): readonly Reason[] {
  return because(label, scale(length, count))
}

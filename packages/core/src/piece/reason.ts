import { add, negate, scale, zero, type Length } from '../length/length.js'

/** One part of a size: what it is for, and how much of the size it makes. Negative where it takes away. */
export interface Reason {
  readonly label: string
  readonly length: Length
}

/** The sum of the reasons; of none, zero. Exact to the last tick. */
export function totalOf(reasons: readonly Reason[]): Length {
  return add(...reasons.map(reason => reason.length))
}

/** A list of one reason, or of none where the part is nothing. */
export function because(label: string, length: Length): readonly Reason[] {
  return length === zero ? [] : [{ label, length }]
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

import { z } from 'zod'
import { formatLength } from './format.js'
import type { Length } from './length.js'
import { parseLength } from './parse.js'
import { describeLengthProblem } from './problem-words.js'
import type { Unit } from './unit.js'

/** The lengths that make sense in a place; both ends included. */
export interface LengthRange {
  readonly min: Length
  readonly max: Length
}

/** A length as typed: text in any form that a maker writes, or a number in the file's unit. */
export const typedLength = z.union([z.string().max(60), z.number()])
export type TypedLength = z.infer<typeof typedLength>

/** A schema that turns what was typed into a Length, and refuses what is unreadable or out of range. */
export function lengthInput(unit: Unit, range: LengthRange) {
  return typedLength.transform((typed, context): Length => {
    const read = readLength(typed, unit, range)
    if (read.ok) return read.length
    context.issues.push(unread(read.message, typed))
    return z.NEVER
  })
}

/** The issue of a length that stands where one belongs, and cannot be taken as it was typed. */
export function unread(message: string, input: unknown) {
  return { code: 'custom', message, input, params: { unread: true } } as const
}

export type ReadLength =
  | { readonly ok: true; readonly length: Length; readonly about: boolean; readonly text: string }
  | {
      readonly ok: false
      readonly message: string
      /** What was probably meant, ready to be typed. */
      readonly rather?: string
    }

/** Reads what was typed and judges it against its range; the message says what stood there and what would do. */
export function readLength(typed: TypedLength, unit: Unit, { min, max }: LengthRange): ReadLength {
  const text = String(typed)
  const parsed = parseLength(text, unit)
  if (!parsed.ok) {
    const { rather } = parsed.problem
    const message = describeLengthProblem(parsed.problem)
    return { ok: false, message, ...(rather !== undefined && { rather: rather + unitAfter(text) }) }
  }
  const { length, about } = parsed
  if (length >= min && length <= max) return { ok: true, length, about, text }
  const say = (bound: Length) => formatLength(bound, unit, { finest: 16 })
  return {
    ok: false,
    message: `“${text}” is ${length < min ? 'too small' : 'too large'}: expected ${say(min)} to ${say(max)}.`,
  }
}

/** The unit that was typed behind a number, with its space; nothing where none was. */
function unitAfter(text: string): string {
  const [unit = ''] = /[^\d\s/]+$/.exec(text.trim()) ?? []
  return unit && ` ${unit}`
}

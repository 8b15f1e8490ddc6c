import { sayAmounts } from '../length/amounts.js'
import { formatLength } from '../length/format.js'
import { absolute, inches, toMm, zero, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'

/** Says a length in the workshop's unit; what is written differs between screen and file. */
export type SayLength = (length: Length) => string

/** How findings speak: of lengths, of thin things, and of amounts that stand in braces in their words. */
export interface Saying {
  (length: Length): string
  /** Cloth, board and what a seam catches are said in millimetres in any workshop, as shops and feet have it. */
  readonly thin: SayLength
  readonly amounts: (words: string) => string
}

/** Lengths in findings as files carry them: ASCII, to 1/32 in, and never a difference that reads as nothing. */
export function sayPlainly(unit: Unit): Saying {
  return saying(unit, 'plain')
}

/** Lengths in findings as screens show them: true fractions. */
export function sayProperly(unit: Unit): Saying {
  return saying(unit, 'proper')
}

function saying(unit: Unit, style: 'plain' | 'proper'): Saying {
  const nothing = formatLength(zero, unit, { style, finest })
  return Object.assign((length: Length) => sayLength(length, { unit, style, nothing }), {
    thin: sayThickness,
    amounts: (words: string) => sayAmounts(words, unit, style),
  })
}

/** A thickness in millimetres to two decimals. */
export function sayThickness(length: Length): string {
  return `${Math.round(toMm(length) * 100) / 100} mm`
}

const finest = 32

interface Manner {
  readonly unit: Unit
  readonly style: 'plain' | 'proper'
  /** How no length at all is said. */
  readonly nothing: string
}

function sayLength(length: Length, { unit, style, nothing }: Manner): string {
  const text = formatLength(length, unit, { style, finest })
  if (length === zero || text !== nothing) return text
  if (unit !== 'in') return formatLength(absolute(length), 'mm', { style })
  return `under ${formatLength(inches(1 / finest), unit, { style, finest })}`
}

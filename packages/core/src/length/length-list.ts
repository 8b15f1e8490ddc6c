import { z } from 'zod'
import { readLength, type LengthRange } from './length-input.js'
import type { Length } from './length.js'
import type { Unit } from './unit.js'

export type ReadLengths =
  | { readonly ok: true; readonly lengths: readonly Length[] }
  | { readonly ok: false; readonly message: string }

/** Reads lengths typed one after the other: “2, 3.5, 5” or “1/8; 3/16”. A comma between digits is a decimal one. */
export function readLengths(typed: string, unit: Unit, range: LengthRange): ReadLengths {
  const parts = typed
    .split(/;|,(?!\d)/)
    .map(part => part.trim())
    .filter(part => part !== '')
  const lengths: Length[] = []
  for (const part of parts) {
    const read = readLength(part, unit, range)
    if (!read.ok) return { ok: false, message: read.message }
    lengths.push(read.length)
  }
  return { ok: true, lengths }
}

/** A schema that keeps such a list as it was typed, and refuses what cannot be read. */
export function lengthList(unit: Unit, range: LengthRange) {
  return z.string().superRefine((typed, context) => {
    const read = readLengths(typed, unit, range)
    if (!read.ok) context.addIssue({ code: 'custom', message: read.message })
  })
}

import { z } from 'zod'
import type { CoverHand } from '../fit/cover-hand.js'
import { lengthInput, readLength, typedLength, unread } from '../length/length-input.js'
import { mm, negate, zero, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'

/** No hand errs by more to one side, nor scatters more. */
const most = mm(6)

/** How the hand errs that a cover is planned for; biases may be less than nothing. */
export function handSchema(unit: Unit) {
  const bias = biasInput(unit).optional()
  const scatter = lengthInput(unit, { min: mm(0.05), max: most }).optional()
  return z.strictObject({ seamBias: bias, cutBias: bias, seamScatter: scatter, cutScatter: scatter })
}

/** A length with a minus before it where it goes the other way. */
function biasInput(unit: Unit) {
  return typedLength.transform((typed, context): Length => {
    const [, minus, size = ''] = /^\s*([-−]?)(.*)$/s.exec(String(typed)) ?? []
    const read = readLength(size, unit, { min: zero, max: most })
    if (read.ok) return minus ? negate(read.length) : read.length
    context.issues.push(unread(read.message, typed))
    return z.NEVER
  })
}

/** Drops what nobody said. */
export function settleHand(hand: z.output<ReturnType<typeof handSchema>>): CoverHand {
  return Object.fromEntries(Object.entries(hand).filter(([, value]) => value !== undefined))
}

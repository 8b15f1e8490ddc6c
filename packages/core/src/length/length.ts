declare const brand: unique symbol

/**
 * A length in ticks of 1/320 mm, the largest unit in which both a millimetre (320) and 1/64 in (127) are whole.
 *
 * What is read, typed or cut is a whole number of ticks. What comes through π or a percentage rounds once, where
 * it enters, to 1/1024 of a tick: a binary fraction, so that sums of lengths stay exact in double arithmetic and
 * reasons add up to their size without any error.
 */
export type Length = number & { readonly [brand]: true }

const ticksPerMillimetre = 320
const ticksPerInch = 8128
const partsPerTick = 1024

export const zero = 0 as Length

/** The smallest length that is told apart. */
export const tick = 1 as Length

/** Longer than any: cloth off a bolt that is as long as one likes. */
export const endless = Infinity as Length

/** Millimetres, rounded to the nearest whole tick. */
export function mm(millimetres: number): Length {
  return wholeTicks(millimetres * ticksPerMillimetre)
}

/** Inches, rounded to the nearest whole tick. */
export function inches(count: number): Length {
  return wholeTicks(count * ticksPerInch)
}

/** Sum of lengths; of none, zero. Exact. */
export function add(...lengths: readonly Length[]): Length {
  return lengths.reduce<number>((sum, length) => sum + length, 0) as Length
}

/** `from − what`. Exact. */
export function subtract(from: Length, what: Length): Length {
  return (from - what) as Length
}

/** A length times a plain number (π, a share, a count), rounded once to 1/1024 tick. */
export function scale(length: Length, factor: number): Length {
  return (Math.round(length * factor * partsPerTick) / partsPerTick) as Length
}

export function negate(length: Length): Length {
  return (0 - length) as Length
}

export function absolute(length: Length): Length {
  return Math.abs(length) as Length
}

/** The next multiple of a step at or above a length. */
export function roundUpTo(length: Length, step: Length): Length {
  return (Math.ceil(length / step) * step) as Length
}

/** The next multiple of a step at or below a length. */
export function roundDownTo(length: Length, step: Length): Length {
  return (Math.floor(length / step) * step) as Length
}

/** The nearest multiple of a step. */
export function roundTo(length: Length, step: Length): Length {
  return (Math.round(length / step) * step + 0) as Length
}

/** A length within bounds; the lower one where they leave no room. */
export function clamp(length: Length, least: Length, most: Length): Length {
  return Math.max(least, Math.min(length, most)) as Length
}

/** Plain numbers of ticks, as searches reckon with them, as a length again: as they are, without rounding. */
export function ofTicks(ticks: number): Length {
  return ticks as Length
}

/** The largest of at least one length. */
export function longest(first: Length, ...others: readonly Length[]): Length {
  return Math.max(first, ...others) as Length
}

/** The smallest of at least one length. */
export function shortest(first: Length, ...others: readonly Length[]): Length {
  return Math.min(first, ...others) as Length
}

/** How many times `part` goes into `whole`; a plain number. */
export function ratio(whole: Length, part: Length): number {
  return whole / part
}

/** Millimetres, unrounded. */
export function toMm(length: Length): number {
  return length / ticksPerMillimetre
}

/** Inches, unrounded. */
export function toInches(length: Length): number {
  return length / ticksPerInch
}

/** Millimetres to four decimals, as JSON carries them. */
export function toJsonMm(length: Length): number {
  return Math.round((length / ticksPerMillimetre) * 1e4) / 1e4 + 0
}

function wholeTicks(ticks: number): Length {
  return (Math.round(ticks) + 0) as Length
}

import { toInches, toMm, type Length } from './length.js'
import type { Unit } from './unit.js'

export interface FormatOptions {
  /** `plain` is ASCII for files and command lines; `proper` has true fractions for screen and paper. */
  readonly style?: 'plain' | 'proper'
  /** The finest fraction of an inch that is shown: a power of two, 64 unless said. */
  readonly finest?: number
  /** Leaves the unit off where the place already says it. */
  readonly bare?: boolean
}

const fractionSlash = '\u2044'
const minus = '\u2212'
const noBreakSpace = '\u00a0'

/** A length in the workshop's unit, to the nearest 1/64 in, 0.1 mm or 0.01 cm. Zero is `0 in`. */
export function formatLength(
  length: Length,
  unit: Unit,
  { style = 'plain', finest = 64, bare = false }: FormatOptions = {},
): string {
  const number = unit === 'in' ? formatInches(length, style, finest) : formatDecimal(length, unit, style)
  if (bare) return number
  return number + (style === 'proper' ? noBreakSpace : ' ') + unit
}

function formatInches(length: Length, style: 'plain' | 'proper', finest: number): string {
  const parts = Math.round(Math.abs(toInches(length)) * finest)
  const whole = Math.floor(parts / finest)
  const slash = style === 'proper' ? fractionSlash : '/'
  const space = style === 'proper' ? noBreakSpace : ' '
  const over = parts % finest
  const sign = signOf(length, parts, style)
  if (over === 0) return `${sign}${whole}`
  const shared = largestPowerOfTwoIn(over)
  const fraction = `${over / shared}${slash}${finest / shared}`
  return sign + (whole === 0 ? fraction : `${whole}${space}${fraction}`)
}

function formatDecimal(length: Length, unit: 'cm' | 'mm', style: 'plain' | 'proper'): string {
  const decimals = unit === 'mm' ? 1 : 2
  const value = unit === 'mm' ? toMm(length) : toMm(length) / 10
  const rounded = Math.round(Math.abs(value) * 10 ** decimals) / 10 ** decimals
  return signOf(length, rounded, style) + String(rounded)
}

function signOf(length: Length, shown: number, style: 'plain' | 'proper'): string {
  if (length >= 0 || shown === 0) return ''
  return style === 'proper' ? minus : '-'
}

/** The largest that divides it: what is left of its bits is the lowest. */
function largestPowerOfTwoIn(count: number): number {
  return count & -count
}

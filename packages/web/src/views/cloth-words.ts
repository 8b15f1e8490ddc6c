import { formatLength, inches, mm, roundUpTo, usualClothWidth, type Length, type Unit } from '@snowdrift/core'

/** The width that cloth usually has, as the maker says it. */
export function usualCloth(unit: Unit): string {
  return unit === 'in' ? '42 in' : unit === 'cm' ? '110 cm' : '1100 mm'
}

export { usualClothWidth }

/** A length off the bolt as one asks for it: up to the next eighth of an inch, or centimetre. */
export function clothLength(length: Length, unit: Unit): string {
  const step = unit === 'in' ? inches(1 / 8) : mm(10)
  return formatLength(roundUpTo(length, step), unit, { style: 'proper' })
}

import { formatLength, inches, lengthOnCloth, mm, scale, type Unit } from '@snowdrift/core'

/** The width that cloth usually has, as the maker says it. */
export function usualCloth(unit: Unit): string {
  return unit === 'in' ? '42 in' : '110 cm'
}

/** An area of cloth as a length off cloth of the usual width, waste not counted. */
export function clothLength(squareMetres: number, unit: Unit): string {
  if (unit === 'in') {
    const quarters = Math.ceil(lengthOnCloth(squareMetres, inches(42)) / inches(1 / 4))
    return formatLength(scale(inches(1 / 4), quarters), 'in', { style: 'proper' })
  }
  return `${Math.ceil(lengthOnCloth(squareMetres, mm(1100)) / mm(10))} cm`
}

/** The same in full: “8 ¼ in of 42 in cloth”. */
export function describeCloth(squareMetres: number, unit: Unit): string {
  return `${clothLength(squareMetres, unit)} of ${usualCloth(unit)} cloth`
}

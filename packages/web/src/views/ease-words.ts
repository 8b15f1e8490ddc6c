import {
  easeStepMm,
  finestSaid,
  formatLength,
  inches,
  mm,
  toMm,
  type Length,
  type Unit,
} from '@snowdrift/core'

/** The finest step that an ease is aimed at in, in millimetres: 1/32 in, or half a millimetre. */
export function easeStep(unit: Unit): number {
  return unit === 'in' ? toMm(inches(1 / 32)) : easeStepMm
}

/** A small length that is reckoned in millimetres, in the workshop's unit: to 1/32 in, or a tenth of a millimetre. */
export function sayEase(millimetres: number, unit: Unit): string {
  return formatLength(mm(millimetres), unit, { style: 'proper', finest: 32 })
}

/** The same as it is typed into the file, so that it reads in the workshop's unit wherever it is shown. */
export function typeEase(millimetres: number, unit: Unit): string {
  return formatLength(mm(millimetres), unit, { finest: 32 })
}

/** An uncertainty: to 1/64 in, 0.1 mm or 0.01 cm, and never as nothing. */
export function saySpread(spread: Length, unit: Unit): string {
  const least = finestSaid(unit)
  if (spread > 0 && spread < least / 2) return `under ${formatLength(least, unit, { style: 'proper' })}`
  return formatLength(spread, unit, { style: 'proper', finest: 64 })
}

const steps: Readonly<Record<Unit, readonly number[]>> = {
  in: [1 / 16, 1 / 8, 1 / 4, 1 / 2, 1, 2, 4, 8, 16, 32].map(count => toMm(inches(count))),
  cm: [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000],
  mm: [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000],
}

/** Steps of an axis that a maker of that unit counts in, in millimetres, the finest first. */
export function axisSteps(unit: Unit): readonly number[] {
  return steps[unit]
}

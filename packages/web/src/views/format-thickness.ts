import { toMm, type Length } from '@snowdrift/core'

/** Millimetres to two decimals, whatever the workshop's unit: 0.28 mm. */
export function formatThickness(length: Length): string {
  return `${Math.round(toMm(length) * 100) / 100} mm`
}

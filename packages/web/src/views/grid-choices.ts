import { cuttingGrids, formatLength, inches, type Length, type Unit } from '@snowdrift/core'

/** Every cutting grid by the text that files carry; the empty text is the usual one of the unit. */
export function gridChoices(unit: Unit, usual: Length): Readonly<Record<string, string>> {
  const named = (grid: Length) => formatLength(grid, grid % inches(1 / 16) === 0 ? 'in' : 'mm')
  return {
    '': `usual: ${formatLength(usual, unit === 'in' ? 'in' : 'mm')}`,
    ...Object.fromEntries(cuttingGrids.map(grid => [named(grid), named(grid)])),
  }
}

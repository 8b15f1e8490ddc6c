import { formatLength, inches, mm, type Length, type Unit } from '@snowdrift/core'

const grids: readonly Length[] = [inches(1 / 16), inches(1 / 8), inches(1 / 4), mm(1), mm(2), mm(5)]

/** Every cutting grid by the text that files carry; the empty text is the usual one of the unit. */
export function gridChoices(unit: Unit, usual: Length): Readonly<Record<string, string>> {
  const named = (grid: Length) => formatLength(grid, grid % inches(1 / 16) === 0 ? 'in' : 'mm')
  return {
    '': `usual: ${formatLength(usual, unit === 'in' ? 'in' : 'mm')}`,
    ...Object.fromEntries(grids.map(grid => [named(grid), named(grid)])),
  }
}

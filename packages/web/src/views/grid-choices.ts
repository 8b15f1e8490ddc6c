import {
  cuttingGrids,
  defaultGrid,
  formatLength,
  inches,
  parseLength,
  type Length,
  type Unit,
} from '@snowdrift/core'

/** What is reckoned, what it is shown in, and the grid that is stated, as files carry it; empty for the usual one. */
interface GridInUse {
  readonly reckoned: Unit
  readonly shown: Unit
  readonly stated: string
}

/** The cutting grids of what is reckoned, by the text that files carry; the empty text is the usual one. */
export function gridChoices({ reckoned, shown, stated }: GridInUse): Readonly<Record<string, string>> {
  const own = cuttingGrids.filter(grid => isInches(grid) === (reckoned === 'in'))
  const say = (grid: Length) => formatLength(grid, shown === 'in' ? 'in' : 'mm', { style: 'proper' })
  const read = parseLength(stated, reckoned)
  return {
    '': `usual: ${say(defaultGrid(reckoned))}`,
    ...Object.fromEntries(own.map(grid => [nameOf(grid), say(grid)])),
    ...(stated !== '' && read.ok && { [stated]: say(read.length) }),
  }
}

function nameOf(grid: Length): string {
  return formatLength(grid, isInches(grid) ? 'in' : 'mm')
}

function isInches(grid: Length): boolean {
  return grid % inches(1 / 16) === 0
}

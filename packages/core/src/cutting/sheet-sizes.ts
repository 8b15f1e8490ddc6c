import { inches, mm, type Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import type { CuttingGroup } from './group.js'

/** A size in which board and card are sold. Source: docs/craft.md, Cutting. */
export interface SheetSize {
  readonly id: string
  readonly width: Length
  readonly length: Length
}

/** From the smallest to the largest. */
export const sheetSizes: readonly SheetSize[] = [
  { id: 'letter', width: inches(8.5), length: inches(11) },
  { id: 'a4', width: mm(210), length: mm(297) },
  { id: 'square', width: inches(12), length: inches(12) },
  { id: 'folder', width: inches(11.75), length: inches(17.5) },
  { id: 'large', width: mm(500), length: mm(700) },
]

/** Board and card come in sheets, whatever else off a bolt. */
export function comesInSheets(role: Role): boolean {
  return role === 'board' || role === 'card'
}

/** The sheet to buy: the one that is named, else the smallest that takes the largest piece, else the largest there is. */
export function sheetToBuy({ pieces }: CuttingGroup, named: string | null): SheetSize {
  const chosen = sheetSizes.find(({ id }) => id === named)
  if (chosen) return chosen
  const takes = ({ width, length }: SheetSize) =>
    pieces.every(
      piece =>
        (piece.width <= width && piece.height <= length) ||
        (piece.turn === 'quarter' && piece.height <= width && piece.width <= length),
    )
  const found = sheetSizes.find(takes) ?? sheetSizes.at(-1)
  if (!found) throw new Error('No sheet is sold')
  return found
}

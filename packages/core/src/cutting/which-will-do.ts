import type { Unit } from '../length/unit.js'
import { nest } from '../nest/nest.js'
import type { Cuts } from '../nest/strip/search.js'
import type { CuttingGroup } from './group.js'
import { layoutRequestOf, type SheetToUse } from './request-of.js'

/** How far one piece of cloth goes for a group. */
export interface WillDo {
  readonly sheet: string
  /** How many of the group's pieces find room on it, in a first layout. */
  readonly takes: number
  readonly of: number
}

/** Every piece of cloth by itself, those that take the whole group first; what takes nothing is left out. */
export function whichWillDo(
  group: CuttingGroup,
  sheets: readonly SheetToUse[],
  { cuts, unit }: { readonly cuts: Cuts; readonly unit: Unit },
): readonly WillDo[] {
  const of = group.pieces.length
  return sheets
    .map((sheet): WillDo => {
      const request = layoutRequestOf(group, { cuts, unit, sheets: [sheet], pins: {}, budgetMs: 0 })
      const takes = request ? nest(request, () => 0).placements.length : 0
      return { sheet: sheet.id, takes, of }
    })
    .filter(({ takes }) => takes > 0)
    .toSorted((one, other) => other.takes - one.takes)
}

import { groupPieces, type CuttingGroup } from '../cutting/group.js'
import { boughtCloth, layoutRequestOf } from '../cutting/request-of.js'
import { comesInSheets, sheetToBuy } from '../cutting/sheet-sizes.js'
import { findToBuy, type ToBuy } from '../cutting/to-buy.js'
import type { SheetToDraw } from '../drawing/sheet-drawing.js'
import type { Cover } from '../file/cover.js'
import { inches, mm, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import type { Role } from '../material/role.js'
import { nest } from '../nest/nest.js'
import type { Layout } from '../nest/layout.js'
import type { LayoutRequest } from '../nest/request.js'
import type { Plan } from '../plan/plan.js'

/** What one material takes where nothing of it is at hand: what to buy, and how the pieces lie on it. */
export interface Bought {
  readonly role: Role
  /** As the layers name it; empty where none is named. */
  readonly material: string
  /** Undefined where a piece is too large for what is sold. */
  readonly toBuy: ToBuy | undefined
  readonly sheets: readonly SheetToDraw[]
}

/** The width that cloth usually has. */
export function usualClothWidth(unit: Unit): Length {
  return unit === 'in' ? inches(42) : mm(1100)
}

/**
 * Everything that a cover is cut from, as if all of it were bought: cloth of the usual width, board and card in sheets. A
 * first layout, found in a few milliseconds, that more time can only shorten.
 */
export function layOutBought(cover: Cover, { pieces }: Pick<Plan, 'pieces'>): readonly Bought[] {
  const { name, stack, cutFrom, unit } = cover
  return groupPieces([{ id: '', name, pieces, stack, cutFrom }]).map(group => {
    const { role, material } = group
    const request = layoutRequestOf(group, {
      cuts: 'scissors',
      unit,
      sheets: [],
      pins: {},
      budgetMs: 0,
      ...(comesInSheets(role) ? { buySheet: sheetToBuy(group, null) } : { buyWidth: usualClothWidth(unit) }),
    })
    if (!request) return { role, material, toBuy: undefined, sheets: [] }
    const layout = nest(request, () => 0)
    const isWhole = layout.unplaced.length === 0
    return {
      role,
      material,
      toBuy: isWhole ? findToBuy(group, request, layout, unit) : undefined,
      sheets: isWhole ? sheetsOf(group, request, layout) : [],
    }
  })
}

function sheetsOf(group: CuttingGroup, { cloths }: LayoutRequest, layout: Layout): readonly SheetToDraw[] {
  const width = cloths.find(({ id }) => id === boughtCloth)?.width
  const labels = new Map(group.pieces.map(({ id, label }) => [id, label]))
  return layout.used.flatMap(({ cloth, sheet, length }) =>
    width === undefined
      ? []
      : [
          {
            name: group.material || group.role,
            role: group.role,
            width,
            length,
            placements: layout.placements.filter(placed => placed.cloth === cloth && placed.sheet === sheet),
            labelOf: ({ piece }) => labels.get(piece) ?? piece,
            print: group.print,
            leftOvers: [],
          },
        ],
  )
}

import { groupPieces } from '../cutting/group.js'
import { layoutRequestOf } from '../cutting/request-of.js'
import type { Cover } from '../file/cover.js'
import type { Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import { nest } from '../nest/nest.js'
import type { Plan } from '../plan/plan.js'

/** One piece of cloth, card or board to cut from. */
export interface Sheet {
  readonly role: Role
  readonly width: Length
  readonly length: Length
}

/**
 * Whether all that is cut from the role's own material can be laid on the sheet as the cutting layout lays it: with room
 * for scissors, turned where print and grain allow it. A yes is a layout that was found at once; a no may now and then be
 * too careful. Nothing to cut fits on anything.
 */
export function fitsOnSheet(
  { pieces }: Pick<Plan, 'pieces'>,
  { stack, cutFrom, unit }: Pick<Cover, 'stack' | 'cutFrom' | 'unit'>,
  { role, width, length }: Sheet,
): boolean {
  const group = groupPieces([{ id: '', name: '', pieces, stack, cutFrom }]).find(known => known.role === role)
  const sheet = { id: 'sheet', width, length, washed: true }
  const request =
    group && layoutRequestOf(group, { cuts: 'scissors', unit, sheets: [sheet], pins: {}, budgetMs: 0 })
  return !request || nest(request, () => 0).unplaced.length === 0
}

import { groupPieces, materialOf, type CuttingGroup } from '../cutting/group.js'
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
  const ofRole = pieces.filter(piece => materialOf({ stack, cutFrom }, piece).role === role)
  const group = groupPieces([{ id: '', name: '', pieces: ofRole, stack, cutFrom }])[0]
  if (group && !hasRoom(group, width, length)) return false
  const sheet = { id: 'sheet', width, length, washed: true }
  const request =
    group && layoutRequestOf(group, { cuts: 'scissors', unit, sheets: [sheet], pins: {}, budgetMs: 0 })
  return !request || nest(request, () => 0).unplaced.length === 0
}

/** What is larger than the sheet, alone or together, need not be laid out to be refused. */
function hasRoom({ pieces }: CuttingGroup, width: Length, length: Length): boolean {
  const isHeld = (wide: Length, high: Length) => wide <= width && high <= length
  const area = pieces.reduce((sum, piece) => sum + piece.width * piece.height, 0)
  return (
    area <= width * length &&
    pieces.every(piece => isHeld(piece.width, piece.height) || isHeld(piece.height, piece.width))
  )
}

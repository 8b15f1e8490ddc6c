import { groupPieces } from '../cutting/group.js'
import { boughtCloth, layoutRequestOf } from '../cutting/request-of.js'
import type { Cover } from '../file/cover.js'
import type { Length } from '../length/length.js'
import type { Role } from '../material/role.js'
import { nest } from '../nest/nest.js'
import type { Plan } from '../plan/plan.js'

/**
 * How much of a cloth of that usable width the pieces of a role take, laid out as scissors cut them: a first layout, found
 * in a few milliseconds, that more time can only shorten. Undefined where nothing is cut from the role, or a piece is
 * wider than the cloth.
 */
export function clothNeeded(
  { pieces }: Pick<Plan, 'pieces'>,
  { stack, cutFrom, unit }: Pick<Cover, 'stack' | 'cutFrom' | 'unit'>,
  role: Role,
  clothWidth: Length,
): Length | undefined {
  const [group] = groupPieces([{ id: '', name: '', pieces, stack, cutFrom }]).filter(
    known => known.role === role,
  )
  const request =
    group &&
    layoutRequestOf(group, {
      cuts: 'scissors',
      unit,
      sheets: [],
      buyWidth: clothWidth,
      pins: {},
      budgetMs: 0,
    })
  if (!request) return undefined
  const { used, unplaced } = nest(request, () => 0)
  return unplaced.length > 0 ? undefined : used.find(({ cloth }) => cloth === boughtCloth)?.length
}

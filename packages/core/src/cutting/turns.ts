import type { Layer } from '../material/layer.js'
import type { Role } from '../material/role.js'
import type { Turn } from '../nest/request.js'
import type { Piece } from '../piece/piece.js'

/** Boards and card warp across their grain, bindings and straps give across the cloth: they run along it. */
const alongTheGrain: ReadonlySet<Role> = new Set(['board', 'card', 'binding'])

/** So much longer than wide is a strip. */
const stripLike = 6

/** Card would rather lie along its grain; where a sheet yields them all only so, plain card may lie across it. */
export function mayLieAcross({ role }: Pick<Piece, 'role'>, { print }: Pick<Layer, 'print'>): boolean {
  return role === 'card' && print === 'none'
}

/** How a piece may be turned: a one-way print not at all, a two-way print by a half, plain cloth by a quarter where grain allows. */
export function turnOf({ role, width, height, blank }: Piece, { print }: Pick<Layer, 'print'>): Turn {
  if (print === 'one-way') return 'none'
  if (print === 'two-way') return 'half'
  if (alongTheGrain.has(role)) return 'half'
  const strip = blank === undefined && width.cut >= stripLike * height.cut
  return strip && role !== 'interfacing' && role !== 'padding' ? 'half' : 'quarter'
}

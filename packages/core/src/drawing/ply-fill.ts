import type { Role } from '../material/role.js'
import type { Fill } from './drawing.js'

const plyFills: Readonly<Partial<Record<Role, Fill>>> = {
  outer: 'outer',
  lining: 'lining',
  padding: 'padding',
  interfacing: 'interfacing',
  card: 'card',
  board: 'board',
}

/** The fill that tells a layer of this role from its neighbours. */
export function fillOf(role: Role): Fill {
  return plyFills[role] ?? 'other'
}

/** What a material is for. A cover's stack has at most one layer of each of `layerRoles`. */
export const roles = [
  'outer',
  'lining',
  'interfacing',
  'padding',
  'underlining',
  'card',
  'board',
  'clear',
  'binding',
  'trim',
] as const
export type Role = (typeof roles)[number]

/** What lies round the thing in any cover: the panels of its walls, and what is behind them. */
export const wallRoles = [
  'outer',
  'lining',
  'interfacing',
  'padding',
  'underlining',
] as const satisfies readonly Role[]

/** What makers call them. */
export const roleWords: Readonly<Record<Role, string>> = {
  outer: 'Outer cloth',
  lining: 'Lining',
  interfacing: 'Interfacing',
  padding: 'Padding',
  underlining: 'Underlining',
  card: 'Card',
  board: 'Board',
  clear: 'Clear vinyl',
  binding: 'Binding',
  trim: 'Trim',
}

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

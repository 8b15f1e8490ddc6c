import type { Role } from '@snowdrift/core'

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

import { namePiece, roleWords, type CuttingGroup } from '@snowdrift/core'

/** What a group is cut from: as its layer is called; where no layer names it, what it is for. */
export function nameGroup({
  material,
  role,
  pieces,
}: Pick<CuttingGroup, 'material' | 'role' | 'pieces'>): string {
  if (material) return material
  if (role !== 'trim') return roleWords[role]
  const names = [...new Set(pieces.map(({ piece }) => namePiece(piece)))]
  return `Cloth for the ${names.join(' and the ')}`
}

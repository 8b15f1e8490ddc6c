import { boughtCloth, comesInSheets, type LayoutNames, type Unit, type UsedSheet } from '@snowdrift/core'
import type { GroupJob } from './group-job'
import { nameGroup } from './name-group'
import { sayStashPiece } from './sources'

/** What a group is cut from: its row of the stash, else what its layer calls it. */
export function nameJob({ group, source }: Pick<GroupJob, 'group' | 'source'>): string {
  return source.material?.material.name ?? nameGroup(group)
}

/** What pieces and cloths of a layout are called within a sentence. */
export function namesIn({ group, source }: Pick<GroupJob, 'group' | 'source'>, unit: Unit): LayoutNames {
  return {
    piece: id => group.pieces.find(piece => piece.id === id)?.label ?? id,
    cloth: id => {
      if (id === boughtCloth) return comesInSheets(group.role) ? 'the sheet to buy' : 'the cloth to buy'
      const piece = source.offered.find(offered => offered.id === id)
      return piece ? `the ${sayStashPiece(piece, source.material?.unit ?? unit, unit)}` : id
    },
  }
}

/** What a sheet is called above its picture. */
export function nameSheet(
  { group, source }: Pick<GroupJob, 'group' | 'source'>,
  { cloth, sheet }: Pick<UsedSheet, 'cloth' | 'sheet'>,
  unit: Unit,
): string {
  if (cloth === boughtCloth) return comesInSheets(group.role) ? `sheet ${sheet}, to buy` : 'to buy'
  const piece = source.offered.find(({ id }) => id === cloth)
  return piece ? sayStashPiece(piece, source.material?.unit ?? unit, unit) : cloth
}

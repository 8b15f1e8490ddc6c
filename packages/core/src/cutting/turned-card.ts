import { namePiece } from '../extras/name-piece.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import type { Layout } from '../nest/layout.js'
import type { CuttingGroup } from './group.js'

/** Card that had to be laid across its grain, one word for each piece. */
export function checkTurnedCard({ pieces }: CuttingGroup, { placements }: Layout): readonly Finding[] {
  const across = placements.flatMap(({ piece, turned }) => {
    const found = turned
      ? pieces.find(({ id, turnIfNeeded }) => id === piece && turnIfNeeded !== undefined)
      : undefined
    return found ? [found.piece] : []
  })
  return [...new Set(across)].flatMap(piece =>
    findingWhen(true, 'card-turned', `piece:${piece}`, { piece: namePiece(piece) }),
  )
}

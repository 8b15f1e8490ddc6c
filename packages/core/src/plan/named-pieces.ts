import type { Cover } from '../file/cover.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { isBacking } from '../material/layer.js'
import { roleWords } from '../material/role.js'
import type { Piece } from '../piece/piece.js'

/** What is said of pieces and cloths by name, where there is none of that name. */
export function checkNamedPieces(cover: Cover, pieces: readonly Piece[]): readonly Finding[] {
  const { noSuchCloths, stack, cloths, cutFrom, pieced } = cover
  const known = pieces.map(({ id }) => id)
  const missing = (piece: string, said: string) =>
    findingWhen(!isThere(piece, known), 'piece-not-there', `piece:${piece}`, { piece, said, known })
  const backings = stack
    .filter(isBacking)
    .flatMap(({ role, backs }) =>
      backs.flatMap(piece => missing(piece, `${roleWords[role]} is to lie behind`)),
    )
  const named = [...stack, ...cloths].map(({ name }) => name.trim()).filter(Boolean)
  return [
    ...noSuchCloths.flatMap(({ piece, cloth }) =>
      findingWhen(true, 'cloth-not-there', `piece:${piece}`, { piece, cloth, known: named }),
    ),
    ...[...Object.keys(cutFrom), ...noSuchCloths.map(({ piece }) => piece)].flatMap(piece =>
      missing(piece, 'A cloth is set for the piece'),
    ),
    ...backings,
    ...pieced.flatMap(piece => missing(piece, 'It is said of the piece that it is pieced:')),
  ]
}

/** Whoever says `flap` means a faced one, too. */
function isThere(piece: string, known: readonly string[]): boolean {
  return known.includes(piece) || (piece === 'flap' && known.includes('flap-outer'))
}

import { severityIn } from '../finding/severities.js'
import { formatLength } from '../length/format.js'
import type { Unit } from '../length/unit.js'
import type { Piece } from '../piece/piece.js'
import { namePiece } from '../extras/name-piece.js'
import type { Plan } from '../plan/plan.js'

/** How many pieces are named before the rest is counted. */
const named = 2

/**
 * What a choice would do to the pieces, short enough for a list: the first two that would be cut otherwise, with their
 * size, and how many more; “same sizes” where none would.
 */
export function describePieceEffects(before: Plan, after: Plan, unit: Unit): string {
  const changes = [
    ...after.pieces.flatMap(piece => {
      const was = before.pieces.find(({ id }) => id === piece.id)
      return was && sameCut(was, piece) ? [] : [`${namePiece(piece.id)} ${saySize(piece, unit)}`]
    }),
    ...before.pieces.flatMap(({ id }) =>
      after.pieces.some(piece => piece.id === id) ? [] : [`no ${namePiece(id)}`],
    ),
    ...newErrors(before, after),
  ]
  if (changes.length === 0) return 'same sizes'
  const rest = changes.length - named
  return [...changes.slice(0, named), ...(rest > 0 ? [`${rest} more`] : [])].join(', ')
}

function newErrors(before: Plan, after: Plan): readonly string[] {
  const failing = ({ findings }: Plan) =>
    findings.filter(finding => severityIn(finding) === 'error').map(({ code }) => code)
  const known = failing(before)
  return failing(after).some(code => !known.includes(code)) ? ['cannot be made so'] : []
}

function sameCut(one: Piece, other: Piece): boolean {
  return one.width.cut === other.width.cut && one.height.cut === other.height.cut && one.count === other.count
}

function saySize({ width, height }: Piece, unit: Unit): string {
  const say = (side: Piece['width']) => formatLength(side.cut, unit, { style: 'proper', bare: true })
  return `${say(width)} × ${say(height)}`
}

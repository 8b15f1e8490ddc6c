import type { FamilyPlan } from '../families/contract.js'
import type { MendedSize } from '../finding/data/make-findings.js'
import { findingWhen, type Finding } from '../finding/finding.js'

type Cut = Pick<FamilyPlan, 'pieces' | 'notions'>

/** The sizes that are otherwise than an older reckoning had them, both said; silent where none is. */
export function mendedSizes(before: Cut, now: Cut): readonly Finding[] {
  const pieces = now.pieces.flatMap(({ id, width, height }): readonly MendedSize[] => {
    const was = before.pieces.find(piece => piece.id === id)
    if (was?.width.cut === width.cut && was.height.cut === height.cut) return []
    return [
      {
        piece: id,
        ...(was && { before: { width: was.width.cut, height: was.height.cut } }),
        now: { width: width.cut, height: height.cut },
      },
    ]
  })
  const notions = now.notions.flatMap(({ id, length }): readonly MendedSize[] => {
    const was = before.notions.find(notion => notion.id === id)?.length
    if (!was || !length || was.cut === length.cut) return []
    return [{ piece: id, before: { width: was.cut }, now: { width: length.cut } }]
  })
  const changed = [...pieces, ...notions]
  return findingWhen(
    changed.length > 0,
    'sizes-mended',
    'sizing',
    { pieces: changed },
    { kind: 'accept-mended' },
  )
}

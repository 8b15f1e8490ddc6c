import type { SeamBulk } from '../families/contract.js'
import { findingWhen, type Finding, type Subject } from '../finding/finding.js'
import { mm } from '../length/length.js'

/** What goes under the foot, and from where on a seam wants grading. Source: docs/craft.md, Seam bulk. */
const underTheFoot = mm(8)
const worthGrading = mm(2)
const thickCorner = mm(3)

/** Seams too thick to sew, worth grading, or bulky at their corners. */
export function adviseOnSeam({ name, thickness }: SeamBulk, about: Subject = 'seam'): readonly Finding[] {
  const tooThick = thickness > underTheFoot
  return [
    ...findingWhen(tooThick, 'seam-too-thick', about, { seam: name, thickness, most: underTheFoot }),
    ...findingWhen(!tooThick && thickness > worthGrading, 'grade-seam', about, { seam: name, thickness }),
  ]
}

/** The corners of what is turned: where all plies of the thickest seam meet. */
export function adviseOnCorners(seams: readonly SeamBulk[]): readonly Finding[] {
  const thickness = seams.reduce((most, seam) => (seam.thickness > most ? seam.thickness : most), mm(0))
  return findingWhen(thickness > thickCorner, 'clip-corners', 'seam', { thickness })
}

import type { Trait } from '../families/trait.js'
import type { FamilyOptions, FamilyPlan, Job } from '../families/contract.js'
import type { Cover } from '../file/cover.js'
import { stiffnesses } from '../material/material.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { adviseOnMaterials } from '../judge/material-advice.js'
import { adviseOnCorners, adviseOnSeam } from '../judge/seam-advice.js'
import { checkUsual } from '../judge/usual.js'
import { isCuttable, type Piece } from '../piece/piece.js'

/** What the materials, the seams and unusual options give to think of. */
export function judgeMaking(
  { family, unit }: Cover,
  job: Job<FamilyOptions>,
  { seams }: FamilyPlan,
): readonly Finding[] {
  return [
    ...checkStiffness(job, family.traits),
    ...checkUsual(family.options(unit), job.options, { aboutOf: key => `option:${key}`, repairs: true }),
    ...adviseOnMaterials(job, family.traits),
    ...seams.flatMap(seam => adviseOnSeam(seam)),
    ...(family.traits.includes('turned') ? adviseOnCorners(seams) : []),
  ]
}

/** Of covers that are not equally stiff, the stiffer goes into its flap first and the other is bent. */
function checkStiffness(
  { object: { frontStiffness, backStiffness } }: Job<FamilyOptions>,
  traits: readonly Trait[],
): readonly Finding[] {
  if (!frontStiffness || !backStiffness || !traits.includes('flaps')) return []
  const [front, back] = [stiffnesses.indexOf(frontStiffness), stiffnesses.indexOf(backStiffness)]
  const stiffer = front > back ? 'front' : 'back'
  return findingWhen(front !== back, 'stiffer-first', 'family', { stiffer })
}

/** A piece of which nothing is left to cut. */
export function checkPiece(piece: Piece): readonly Finding[] {
  const sizes = { piece: piece.id, width: piece.width.exact, height: piece.height.exact }
  return findingWhen(!isCuttable(piece), 'piece-too-small', `piece:${piece.id}`, sizes)
}

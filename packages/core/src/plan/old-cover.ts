import type { Cover } from '../file/cover.js'
import { findingWhen, type Finding } from '../finding/finding.js'
import { add, scale } from '../length/length.js'
import { missingReadings } from '../object/required.js'
import type { FamilyPlan } from '../families/contract.js'

/**
 * An old cover that is said to fit and is larger than anything that would hang well on the thing, by its readings: it was
 * measured with its seams, or belongs to another. `planned` plans a cover; silent where the thing was not measured.
 */
export function checkOldCover(cover: Cover, planned: (cover: Cover) => FamilyPlan): readonly Finding[] {
  const { old, object, family } = cover
  if (!old.width && !old.height) return []
  if (missingReadings(object, family.requiredReadings).length > 0) return []
  return planned({ ...cover, old: {} }).fits.flatMap(({ direction, needed, bands, parts }) => {
    const size = old[direction]
    const nearest = add(needed, scale(bands.top, parts))
    if (!size) return []
    return findingWhen(size.finished > nearest, 'old-cover-large', `fit:${direction}`, {
      direction,
      finished: size.finished,
      needed,
      nearest,
    })
  })
}

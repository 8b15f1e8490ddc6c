import { z } from 'zod'
import type { OldCover } from '../fit/old-cover.js'
import type { BothWays } from '../families/sized.js'
import { mm, zero, type Length } from '../length/length.js'
import { lengthInput } from '../length/length-input.js'
import type { Unit } from '../length/unit.js'

/** An old cover that fits: what it measures from seam line to seam line, and the room that it leaves, as one likes it. */
export function oldCoverSchema(unit: Unit) {
  const size = z
    .strictObject({
      finished: lengthInput(unit, { min: mm(20), max: mm(3000) }),
      ease: lengthInput(unit, { min: zero, max: mm(150) }).optional(),
    })
    .optional()
  return z.strictObject({ width: size, height: size })
}

/** Drops the directions that were not measured; an ease that was not said is the usual one. */
export function settleOldCover(
  { width, height }: z.output<ReturnType<typeof oldCoverSchema>>,
  usual: BothWays<Length>,
): OldCover {
  return {
    ...(width && { width: { finished: width.finished, ease: width.ease ?? usual.width } }),
    ...(height && { height: { finished: height.finished, ease: height.ease ?? usual.height } }),
  }
}

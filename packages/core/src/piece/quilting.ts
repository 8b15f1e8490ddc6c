import { scale, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import { because, totalOf, type Reason } from './reason.js'

/**
 * Reasons of a quilted ply: its size / (1 − take-up), and ½ in (12 mm) to trim unless `trim` says otherwise. Take-up
 * is a share, 0 to under 1. Source: docs/craft.md, Sizing.
 */
export function beforeQuilting(
  reasons: readonly Reason[],
  takeUp: number,
  unit: Unit,
  trim: Length = customary(1 / 2, unit),
): readonly Reason[] {
  const taken = scale(totalOf(reasons), takeUp / (1 - takeUp))
  return [...reasons, ...because('taken up by the quilting', taken), ...because('room to trim', trim)]
}

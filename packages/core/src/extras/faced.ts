import { because } from '../piece/reason.js'
import type { Piece } from '../piece/piece.js'
import { sideRoundedUp } from '../piece/side.js'
import type { ExtraJob } from './contract.js'
import type { Size } from './place.js'
import { pocketEdges, turnedUnder, type PocketOptions } from './pocket.js'

/** A pocket of outer and lining, turned: ¼ in more all round than it finishes. */
export function facedPieces(
  job: ExtraJob<PocketOptions>,
  type: string,
  { width, height }: Size,
): readonly Piece[] {
  const { unit, grid } = job
  const { sides: across, foot } = pocketEdges(job, 'seam')
  const mouth = because('seam at the mouth', turnedUnder(unit))
  const sides = {
    count: 1,
    width: sideRoundedUp([...because('finished width', width), ...across], grid),
    height: sideRoundedUp([...because('finished height', height), ...foot, ...mouth], grid),
  }
  return [
    { id: `${type}-outer`, role: 'outer', ...sides },
    { id: `${type}-lining`, role: 'lining', ...sides },
  ]
}

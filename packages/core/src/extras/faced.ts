import { twice, because } from '../piece/reason.js'
import type { Piece } from '../piece/piece.js'
import { sideRoundedUp } from '../piece/side.js'
import type { ExtraJob } from './contract.js'
import type { Size } from './place.js'
import { turnedUnder } from './pocket.js'

/** A pocket of outer and lining, turned: ¼ in more all round than it finishes. */
export function facedPieces(
  { unit, grid }: ExtraJob<unknown>,
  type: string,
  { width, height }: Size,
): readonly Piece[] {
  const seam = twice('seam', turnedUnder(unit))
  const sides = {
    count: 1,
    width: sideRoundedUp([...because('finished width', width), ...seam], grid),
    height: sideRoundedUp([...because('finished height', height), ...seam], grid),
  }
  return [
    { id: `${type}-outer`, role: 'outer', ...sides },
    { id: `${type}-lining`, role: 'lining', ...sides },
  ]
}

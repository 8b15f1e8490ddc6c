import {
  cutDeviation,
  directions,
  seamDeviation,
  type MakeDirection,
  type MakeRecord,
} from './make-record.js'

/** Why a make’s numbers cannot be: it is asked about, never averaged in. */
export type Contradiction =
  | { readonly kind: 'sewn-larger'; readonly direction: MakeDirection; readonly byMm: number }
  | { readonly kind: 'seam-too-far'; readonly direction: MakeDirection; readonly eachMm: number }
  | { readonly kind: 'cut-too-far'; readonly direction: MakeDirection; readonly eachMm: number }

/** No hand errs by more at each seam or edge: inches were read for millimetres, or sides were swapped. */
const mostMm = 6

/** The first thing about a make that cannot be; undefined where its numbers agree. */
export function findContradiction(make: MakeRecord): Contradiction | undefined {
  for (const direction of directions) {
    const [cut, sewn] = [make.cutMm[direction], make.sewnMm[direction]]
    if (cut !== undefined && sewn !== undefined && sewn > cut)
      return { kind: 'sewn-larger', direction, byMm: sewn - cut }
    const edge = cutDeviation(make, direction)
    if (edge && Math.abs(edge.value) > mostMm)
      return { kind: 'cut-too-far', direction, eachMm: Math.abs(edge.value) }
    const seam = seamDeviation(make, direction)
    if (seam && Math.abs(seam.value) > mostMm)
      return { kind: 'seam-too-far', direction, eachMm: Math.abs(seam.value) }
  }
  return undefined
}

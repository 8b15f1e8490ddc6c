import { longest, mm, zero, type Length } from '../length/length.js'

/** How to set the machine for the thickest seam of a cover. */
export interface Stitch {
  /** “3 mm”. */
  readonly length: string
  /** “90/14”. */
  readonly needle: string
  /** The plies under the foot, unpressed. */
  readonly bulk: Length
}

/** Stitch and needle by total thickness. Source: docs/craft.md, Making. */
export function stitchFor(seams: readonly { readonly thickness: Length }[]): Stitch {
  const bulk = longest(zero, ...seams.map(({ thickness }) => thickness))
  if (bulk < mm(2)) return { length: '2.5 mm', needle: '80/12', bulk }
  if (bulk <= mm(4)) return { length: '3 mm', needle: '90/14', bulk }
  return { length: bulk > mm(6) ? '4 mm' : '3.5 mm', needle: '100/16', bulk }
}

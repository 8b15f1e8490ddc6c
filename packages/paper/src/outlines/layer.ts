import type { LineStyle, Mark } from '@snowdrift/core'

/** What a machine or a hand does along a line. */
export const layers = ['cut', 'fold', 'stitch', 'mark'] as const
export type Layer = (typeof layers)[number]

const layerOfStyle: Readonly<Partial<Record<LineStyle, Layer>>> = {
  cut: 'cut',
  hole: 'cut',
  slit: 'cut',
  fold: 'fold',
  seam: 'stitch',
  stitch: 'stitch',
  opening: 'stitch',
  binding: 'stitch',
  hem: 'stitch',
  quilting: 'stitch',
  zip: 'stitch',
}

/** Words are marks; so is every line that is neither cut, folded nor stitched along. */
export function layerOf(mark: Mark): Layer {
  return (mark.kind === 'text' ? undefined : layerOfStyle[mark.style]) ?? 'mark'
}

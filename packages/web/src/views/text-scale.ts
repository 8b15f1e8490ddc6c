import type { Drawing } from '@snowdrift/core'

interface Frame {
  /** Of the place that a drawing fills, in pixels. */
  readonly width: number
  readonly height: number
  /** How large its letters are to be, in pixels. */
  readonly letter: number
}

/** Letters as a share of a drawing's longer side, so that they come out at one size however the drawing is shaped. */
export function textScaleFor(drawing: Drawing, { width, height, letter }: Frame): number {
  const pixelsPerTick = Math.min(width / drawing.width, height / drawing.height)
  return letter / (pixelsPerTick * Math.max(drawing.width, drawing.height))
}

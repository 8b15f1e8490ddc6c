import type { PaperName } from '@snowdrift/core'

/** A sheet of paper in millimetres, upright. */
export interface Paper {
  readonly width: number
  readonly height: number
}

export const papers: Readonly<Record<PaperName, Paper>> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
  a0: { width: 841, height: 1189 },
}

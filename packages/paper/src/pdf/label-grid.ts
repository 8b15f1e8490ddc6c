import type { LabelSheet, PaperName } from '@snowdrift/core'
import { papers, type Paper } from './paper.js'

/** Labels on a sheet, in millimetres: where the first one begins, how large they are, how far from one to the next. */
export interface LabelGrid {
  readonly name: string
  readonly paper: Paper
  readonly columns: number
  readonly rows: number
  readonly from: readonly [x: number, y: number]
  readonly size: readonly [width: number, height: number]
  readonly pitch: readonly [across: number, down: number]
}

/** Sheets of labels as they are commonly sold, and one a page for a label printer. */
export const labelGrids: Readonly<Record<LabelSheet, LabelGrid>> = {
  'a4-8': grid('8 on A4', 'a4', { columns: 2, rows: 4, size: [99.1, 67.7], gap: [2.5, 0] }),
  'a4-14': grid('14 on A4', 'a4', { columns: 2, rows: 7, size: [99.1, 38.1], gap: [2.5, 0] }),
  'a4-24': grid('24 on A4', 'a4', { columns: 3, rows: 8, size: [63.5, 33.9], gap: [2.5, 0] }),
  'letter-10': grid('10 on Letter', 'letter', { columns: 2, rows: 5, size: [101.6, 50.8], gap: [4.8, 0] }),
  'letter-30': grid('30 on Letter', 'letter', {
    columns: 3,
    rows: 10,
    size: [66.675, 25.4],
    gap: [3.175, 0],
  }),
  roll: {
    name: 'one a page, 62 × 40 mm',
    paper: { width: 62, height: 40 },
    columns: 1,
    rows: 1,
    from: [0, 0],
    size: [62, 40],
    pitch: [62, 40],
  },
}

/** In the middle of the sheet. */
function grid(
  name: string,
  paperName: PaperName,
  {
    columns,
    rows,
    size,
    gap,
  }: {
    readonly columns: number
    readonly rows: number
    readonly size: readonly [number, number]
    readonly gap: readonly [number, number]
  },
): LabelGrid {
  const paper = papers[paperName]
  const pitch = [size[0] + gap[0], size[1] + gap[1]] as const
  const whole = [pitch[0] * columns - gap[0], pitch[1] * rows - gap[1]] as const
  return {
    name,
    paper,
    columns,
    rows,
    size,
    pitch,
    from: [(paper.width - whole[0]) / 2, (paper.height - whole[1]) / 2],
  }
}

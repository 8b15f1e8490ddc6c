import { z } from 'zod'
import { check, type ReadResult } from '../file/check.js'

/** What a cover can be taken away as. */
export const exportKinds = ['sheet', 'templates', 'labels', 'card', 'svg', 'dxf', 'hpgl', 'csv'] as const
export type ExportKind = (typeof exportKinds)[number]

export const paperNames = ['a4', 'letter', 'a0'] as const
export type PaperName = (typeof paperNames)[number]

/** Sheets of labels as they are commonly sold; `roll` is one a page, for a label printer. */
export const labelSheets = ['a4-8', 'a4-14', 'a4-24', 'letter-10', 'letter-30', 'roll'] as const
export type LabelSheet = (typeof labelSheets)[number]

/** The sheet of labels that goes with a paper, unless another is chosen. */
export function usualLabels(paper: PaperName): LabelSheet {
  return paper === 'letter' ? 'letter-10' : 'a4-14'
}

/** For the maker, with readings, reckoning and chance; or for somebody who sews it from the numbers. */
export const audiences = ['maker', 'sewist'] as const
export type Audience = (typeof audiences)[number]

const exportRequest = z.strictObject({
  /** A cover file; read by its own schema. */
  file: z.record(z.string(), z.unknown()),
  as: z.enum(exportKinds),
  paper: z.enum(paperNames).default('a4'),
  /** Templates of plain rectangles, too. */
  withPlain: z.boolean().default(false),
  audience: z.enum(audiences).default('maker'),
  labels: z.enum(labelSheets).optional(),
})
export type ExportRequest = z.output<typeof exportRequest>

export function readExportRequest(input: unknown): ReadResult<ExportRequest> {
  return check(exportRequest as unknown as z.ZodType<ExportRequest>, input)
}

import { z } from 'zod'
import type { Issue } from '../file/issue.js'
import type { ReadResult } from '../file/read-cover.js'
import { describeSchemaIssues } from '../file/schema-issues.js'
import { lengthInput, typedLength, type TypedLength } from '../length/length-input.js'
import { mm, type Length } from '../length/length.js'
import { onceFor } from './once-for.js'
import type { Unit } from '../length/unit.js'
import { stashNotionKinds } from '../piece/notion.js'

/** The small pictures of cloth that are drawn where there is no photograph. */
export const weaves = ['plain', 'twill', 'stripes', 'checks', 'dots', 'sprigs', 'stars'] as const
export type Weave = (typeof weaves)[number]

export const anyLength = (unit: Unit) => lengthInput(unit, { min: mm(1), max: mm(100_000) })

/** What the stash knows of a material beside its properties. Prices are in the workshop’s own money. */
export const stockSchema = onceFor((unit: Unit) =>
  z.strictObject({
    /** For a metre or a yard, whichever goes with the unit; of what is counted, for one. */
    price: z.number().min(0).max(100_000).optional(),
    weave: z.enum(weaves).optional(),
    /** How often the print comes again along the cloth. */
    repeat: anyLength(unit).optional(),
    /** Usable width, selvedges off. */
    width: anyLength(unit).optional(),
    notion: z.enum(stashNotionKinds).optional(),
  }),
)
export type Stock = z.input<ReturnType<typeof stockSchema>>

export const pieceSources = ['yardage', 'remnant', 'garment', 'sheet', 'left-over', 'notion'] as const
export type PieceSource = (typeof pieceSources)[number]

/** One piece in the stash, as typed. What is counted has neither width nor length; cord and zips have a length only. */
export interface StashPieceBody {
  readonly source: PieceSource
  readonly width: TypedLength | null
  readonly length: TypedLength | null
  readonly count: number
  /** What to mind: seams and pockets of a garment, a stain, the shelf it lies on. */
  readonly note: string
}

export const pieceStates = ['free', 'reserved', 'cut'] as const

const storedPiece = {
  source: z.enum(pieceSources),
  width: typedLength.nullable(),
  length: typedLength.nullable(),
  count: z.int().min(1).max(10_000),
  note: z.string().max(300),
}

export const stashPieceRow = z.strictObject({
  id: z.uuid(),
  version: z.int().min(1),
  updatedAt: z.iso.datetime(),
  materialId: z.uuid(),
  ...storedPiece,
  state: z.enum(pieceStates),
  /** The cover that it is kept or was cut for. */
  coverId: z.uuid().nullable(),
})
export type StashPieceRow = z.infer<typeof stashPieceRow>

const pieceSchema = onceFor((unit: Unit) => {
  const length = anyLength(unit).nullable().default(null)
  return z.strictObject({
    ...storedPiece,
    width: length,
    length,
    count: storedPiece.count.default(1),
    note: storedPiece.note.default(''),
  })
})

/** Reads a piece; its bare lengths are in the unit of its material. */
export function readStashPieceBody(unit: Unit): (input: unknown) => ReadResult<StashPieceBody> {
  const schema = pieceSchema(unit)
  return input => {
    const parsed = schema.safeParse(input)
    if (!parsed.success) return { ok: false, issues: describeSchemaIssues(parsed.error, input) }
    const { source, width, length: long } = parsed.data
    const issues: readonly Issue[] =
      source !== 'notion' && (width === null || long === null)
        ? [
            {
              path: width === null ? 'width' : 'length',
              message: 'Expected a width and a length, found nothing.',
            },
          ]
        : []
    if (issues.length > 0) return { ok: false, issues }
    const typed = input as Partial<StashPieceBody>
    const { count, note } = parsed.data
    return {
      ok: true,
      value: { source, width: typed.width ?? null, length: typed.length ?? null, count, note },
    }
  }
}

/** The size of a piece in the stash; undefined where it is a notion, or its stored text no longer reads. */
export function sizeOfStashPiece(
  { width, length }: Pick<StashPieceRow, 'width' | 'length'>,
  unit: Unit,
): { readonly width: Length; readonly length: Length } | undefined {
  const read = anyLength(unit)
  const across = read.safeParse(width)
  const along = read.safeParse(length)
  return across.success && along.success ? { width: across.data, length: along.data } : undefined
}

/** One line of a material’s history. */
export const stashEventRow = z.strictObject({
  at: z.iso.datetime(),
  what: z.enum([
    'added',
    'changed',
    'deleted',
    'restored',
    'piece-added',
    'piece-changed',
    'piece-gone',
    'reserved',
    'released',
    'cut',
    'left-over',
    'picture',
  ]),
  detail: z.string(),
})
export type StashEventRow = z.infer<typeof stashEventRow>
export type StashEventKind = StashEventRow['what']

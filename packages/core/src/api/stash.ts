import { z } from 'zod'
import {
  avoidedPlacesSchema,
  checkAvoidedPlaces,
  markedPlacesSchema,
  markKinds,
  type MarkKind,
} from '../file/cloth-places.js'
import type { ReadResult } from '../file/check.js'
import type { Issue } from '../file/issue.js'
import { lengthInput, typedLength } from '../length/length-input.js'
import { mm, type Length } from '../length/length.js'
import { asTyped } from './as-typed.js'
import { bodyReaderIn, ourColumn, rowSchema, typedColumn, type BodyOf, type RowOf } from './columns.js'
import { onceFor } from './once-for.js'
import type { Unit } from '../length/unit.js'
import { scalePhoto, type ScaledPhoto } from '../material/photo-scale.js'
import type { AvoidedPlace } from '../nest/request.js'
import { stashNotionKinds } from '../piece/notion.js'

/** The small pictures of cloth that are drawn where there is no photograph. */
export const weaves = ['plain', 'twill', 'stripes', 'checks', 'dots', 'sprigs', 'stars'] as const
export type Weave = (typeof weaves)[number]

export const anyLength = (unit: Unit) => lengthInput(unit, { min: mm(1), max: mm(100_000) })

const share = z.number().min(0).max(0.95)
const mark = z.tuple([z.number().min(0).max(1), z.number().min(0).max(10)])

/** Two marks on the picture and how far apart they are on the cloth; how it is turned and cropped. */
function photoSchema(unit: Unit) {
  return z
    .strictObject({
      /** The picture that was marked: another one has lost its scale. */
      picture: z.int().min(1),
      /** Height of the picture over its width. */
      ratio: z.number().min(0.1).max(10),
      /** Shares of its width, both ways. */
      marks: z.tuple([mark, mark]),
      apart: anyLength(unit),
      turn: z.number().min(-180).max(180).default(0),
      crop: z
        .strictObject({ left: share, top: share, right: share, bottom: share })
        .default({ left: 0, top: 0, right: 0, bottom: 0 }),
    })
    .refine(reading => scalePhoto(reading) !== undefined, {
      message:
        'The two marks stand on one spot, or nothing is left of the picture. Put the marks apart, and leave some cloth between the edges.',
      path: ['marks'],
    })
}

/** The picture of a material at true scale; undefined where it has none, or another than was marked. */
export function scaledPhotoOf(
  { picture, stock }: { readonly picture: number; readonly stock: Stock },
  unit: Unit,
): ScaledPhoto | undefined {
  if (picture === 0 || stock.photo?.picture !== picture) return undefined
  const read = photoSchema(unit).safeParse(stock.photo)
  return read.success ? scalePhoto(read.data) : undefined
}

/** What the stash knows of a material beside its properties. Prices are in the workshop’s own money. */
export const stockSchema = onceFor((unit: Unit) =>
  z.strictObject({
    /** For a metre or a yard, whichever goes with the unit; of what is counted, for one. */
    price: z.number().min(0).max(100_000).optional(),
    weave: z.enum(weaves).optional(),
    /** How often the print comes again along the cloth. */
    repeat: anyLength(unit).optional(),
    /** The same across it, where that is another. */
    repeatAcross: anyLength(unit).optional(),
    /** Usable width, selvedges off. */
    width: anyLength(unit).optional(),
    notion: z.enum(stashNotionKinds).optional(),
    /** What makes a scale of its picture. */
    photo: photoSchema(unit).optional(),
  }),
)
export type Stock = z.input<ReturnType<typeof stockSchema>>

export const pieceSources = ['yardage', 'remnant', 'garment', 'sheet', 'left-over', 'notion'] as const
export type PieceSource = (typeof pieceSources)[number]

export const pieceStates = ['free', 'reserved', 'cut'] as const

const sizeColumn = typedColumn('json', typedLength.nullable(), unit =>
  asTyped(anyLength(unit).nullable()).default(null),
)

const typedPlace = z.strictObject({ x: typedLength, y: typedLength, width: typedLength, height: typedLength })
export type TypedPlace = z.infer<typeof typedPlace>

export const typedMark = typedPlace.extend({ name: z.string(), what: z.enum(markKinds) })
export type TypedMark = z.infer<typeof typedMark>

/** One piece in the stash. What is counted has neither width nor length; cord and zips have a length only. */
export const stashPieceColumns = {
  materialId: ourColumn('uuid', z.uuid()),
  source: typedColumn('text', z.enum(pieceSources)),
  width: sizeColumn,
  length: sizeColumn,
  count: typedColumn('count', z.int().min(1).max(10_000), () => z.int().min(1).max(10_000).default(1)),
  /** Places that no piece may cover: a stain, a worn part, a seam. From the beginning of the piece, its left edge. */
  avoid: typedColumn('json', z.array(typedPlace).readonly().default([]), unit =>
    asTyped(avoidedPlacesSchema(unit).readonly()).default([]),
  ),
  /** What is to be seen: a motif, a printed border, a ready fold; a piece can be laid by it. */
  marks: typedColumn('json', z.array(typedMark).readonly().default([]), unit =>
    asTyped(markedPlacesSchema(unit).readonly()).default([]),
  ),
  /** What to mind: seams and pockets of a garment, a stain, the shelf it lies on. */
  note: typedColumn('text', z.string().max(300), () => z.string().max(300).default('')),
  state: ourColumn('text', z.enum(pieceStates)),
  /** The cover that it is kept or was cut for. */
  coverId: ourColumn('uuid', z.uuid().nullable()),
}
export const stashPieceRow = rowSchema(stashPieceColumns)
export type StashPieceRow = RowOf<typeof stashPieceColumns>
export type StashPieceBody = BodyOf<typeof stashPieceColumns>

const readColumns = bodyReaderIn(stashPieceColumns)

/** Reads a piece; its bare lengths are in the unit of its material. */
export function readStashPieceBody(unit: Unit): (input: unknown) => ReadResult<StashPieceBody> {
  const readPiece = readColumns(unit)
  return input => {
    const read = readPiece(input)
    if (!read.ok || read.value.source === 'notion') return read
    const [lacking] = (['width', 'length'] as const).filter(side => read.value[side] === null)
    if (lacking)
      return {
        ok: false,
        issues: [{ path: lacking, message: 'Expected a width and a length, found nothing.' }],
      }
    const issues = checkPlacesOn(read.value, unit)
    return issues.length > 0 ? { ok: false, issues } : read
  }
}

function checkPlacesOn(piece: StashPieceBody, unit: Unit): readonly Issue[] {
  const size = sizeOfStashPiece(piece, unit)
  if (!size) return []
  const ground = { name: 'The piece', ...size }
  return [
    ...checkAvoidedPlaces(avoidedOnStashPiece(piece, unit), ground, 'avoid', unit),
    ...checkAvoidedPlaces(marksOnStashPiece(piece, unit), ground, 'marks', unit, 'a mark'),
  ]
}

/** The places of a piece that are to be avoided; what no longer reads is left out. */
export function avoidedOnStashPiece(
  { avoid }: Pick<StashPieceBody, 'avoid'>,
  unit: Unit,
): readonly AvoidedPlace[] {
  const read = avoidedPlacesSchema(unit).element
  return avoid.flatMap(place => read.safeParse(place).data ?? [])
}

/** A place of a cloth that is to be seen on the cover. */
export interface ClothMark extends AvoidedPlace {
  readonly name: string
  readonly what: MarkKind
}

/** The marks of a piece; what no longer reads is left out. */
export function marksOnStashPiece(
  { marks }: Pick<StashPieceBody, 'marks'>,
  unit: Unit,
): readonly ClothMark[] {
  const read = markedPlacesSchema(unit).element
  return marks.flatMap(mark => read.safeParse(mark).data ?? [])
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

import { z } from 'zod'
import { checkAvoidedPlaces, markedPlacesSchema } from '../file/cloth-places.js'
import type { Issue } from '../file/issue.js'
import { sayPlainly } from '../finding/say.js'
import { typedLength, type TypedLength } from '../length/length-input.js'
import { toMm, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import { check, type ReadResult } from '../file/check.js'
import { sizeOfStashPiece, typedMark, type StashPieceBody, type TypedMark } from './stash.js'
import { layoutLimits } from '../nest/request.js'

/** What a cover takes: pieces kept for it or let go, each as it stood when it was chosen. */
export interface TakeBody {
  readonly coverId: string
  readonly pieces: readonly { readonly id: string; readonly version: number }[]
}

export interface CutBody {
  readonly coverId: string
  readonly pieces: readonly {
    readonly id: string
    readonly version: number
    /** How many are cut where it is several alike; all of them unless said. */
    readonly count?: number | undefined
    /** What comes back to the stash, as typed in the unit of the material. */
    readonly leftOvers: readonly TypedLeftOver[]
  }[]
}

interface TypedSize {
  readonly width: TypedLength | null
  readonly length: TypedLength | null
}

/** A size, and what of the marks of the cloth lies on it. */
export interface TypedLeftOver extends TypedSize {
  readonly marks?: readonly TypedMark[] | undefined
}

const most = 200
const chosen = z.strictObject({ id: z.uuid(), version: z.int().min(1) })
const leftOver = z.strictObject({
  width: typedLength,
  length: typedLength,
  marks: z.array(typedMark).max(layoutLimits.avoided).optional(),
})
const takeSchema = z.strictObject({ coverId: z.uuid(), pieces: z.array(chosen).min(1).max(most) })
const cutSchema = takeSchema.extend({
  pieces: z
    .array(
      chosen.extend({ count: z.int().min(1).max(10_000).optional(), leftOvers: z.array(leftOver).max(40) }),
    )
    .min(1)
    .max(most),
})

export function readTakeBody(input: unknown): ReadResult<TakeBody> {
  return readOnceEach(takeSchema, input)
}

export function readCutBody(input: unknown): ReadResult<CutBody> {
  return readOnceEach(cutSchema, input)
}

/** A body that names no piece twice: a piece is there once. */
function readOnceEach<Body extends TakeBody>(schema: z.ZodType<Body>, input: unknown): ReadResult<Body> {
  const read = check(schema, input)
  if (!read.ok) return read
  const { pieces } = read.value
  const first = new Map(pieces.toReversed().map(({ id }, index) => [id, pieces.length - 1 - index]))
  const issues = pieces.flatMap(({ id }, index): Issue[] =>
    first.get(id) === index
      ? []
      : [{ path: `pieces[${index}]`, message: `It is named before, as pieces[${first.get(id) ?? 0}].` }],
  )
  return issues.length > 0 ? { ok: false, issues: issues.slice(0, 50) } : read
}

/** Sizes go through the wording of a tape: two marks of it may lie between what is said and what is. */
const forgivenMm = 1

/**
 * What is wrong with the left-overs of `count` pieces alike: a size that does not read, one larger than the piece
 * whichever way it lies, a mark that does not read or lies beside it, more of them together than there was. Nothing where
 * all can be.
 */
export function checkLeftOvers(
  piece: Pick<StashPieceBody, 'width' | 'length' | 'count'>,
  count: number,
  leftOvers: readonly TypedLeftOver[],
  unit: Unit,
): readonly Issue[] {
  if (count > piece.count)
    return [
      { path: 'count', message: `Expected at most ${piece.count}, as many as there are; found ${count}.` },
    ]
  const whole = sizeOfStashPiece(piece, unit)
  const sizes = leftOvers.map(size => sizeOfStashPiece(size, unit))
  const unreadable = sizes.findIndex(size => size === undefined)
  if (unreadable >= 0)
    return [{ path: `leftOvers[${unreadable}]`, message: 'Expected a width and a length over nought.' }]
  const read = sizes.filter(size => size !== undefined)
  if (read.length === 0) return []
  if (!whole) return [{ path: 'leftOvers', message: 'Expected none: this piece has no size.' }]
  const tooLarge = read.findIndex(size => !fits(size, whole))
  const larger = read[tooLarge]
  if (larger)
    return [
      {
        path: `leftOvers[${tooLarge}]`,
        message: `Expected at most ${saySize(whole, unit)}, the piece that it comes from; found ${saySize(larger, unit)}.`,
      },
    ]
  const marks = leftOvers.flatMap((left, index) => checkMarks(left, `leftOvers[${index}].marks`, unit))
  if (marks.length > 0) return marks
  const area = read.reduce((sum, size) => sum + areaOf(size, 0), 0)
  return area <= count * areaOf(whole, forgivenMm)
    ? []
    : [{ path: 'leftOvers', message: 'Together they are larger than what they come from.' }]
}

function checkMarks(left: TypedLeftOver, path: string, unit: Unit): readonly Issue[] {
  const read = check(markedPlacesSchema(unit), left.marks ?? [])
  const size = sizeOfStashPiece(left, unit)
  if (!read.ok) return read.issues.map(issue => ({ ...issue, path: `${path}${issue.path}` }))
  return size ? checkAvoidedPlaces(read.value, { name: 'The left-over', ...size }, path, unit, 'a mark') : []
}

interface Size {
  readonly width: Length
  readonly length: Length
}

function saySize({ width, length }: Size, unit: Unit): string {
  const say = sayPlainly(unit)
  return `${say(width)} × ${say(length)}`
}

function fits({ width, length }: Size, whole: Size): boolean {
  const [short, long] = sidesOf(width, length)
  const [wholeShort, wholeLong] = sidesOf(whole.width, whole.length)
  return short <= wholeShort + forgivenMm && long <= wholeLong + forgivenMm
}

function sidesOf(one: Length, other: Length): readonly [short: number, long: number] {
  const [a, b] = [toMm(one), toMm(other)]
  return a < b ? [a, b] : [b, a]
}

/** Square millimetres, with so much more on each side. */
function areaOf({ width, length }: Size, moreMm: number): number {
  return (toMm(width) + moreMm) * (toMm(length) + moreMm)
}

import { z } from 'zod'
import type { CoverFile, TypedObject } from '../file/cover-schema.js'
import { check, type ReadResult } from '../file/check.js'
import type { Unit } from '../length/unit.js'
import { readThingBody } from './rows.js'

/** What a link shows: the project sheet of a cover, or a form for whoever has the thing to measure it. */
export const shareKinds = ['sheet', 'measure'] as const
export type ShareKind = (typeof shareKinds)[number]

export const longestShareDays = 90

const shareBody = z.strictObject({
  kind: z.enum(shareKinds),
  coverId: z.uuid(),
  /** Which of the things of the cover is to be measured, from 0. */
  thing: z.int().min(0).max(50).default(0),
  days: z.int().min(1).max(longestShareDays).default(14),
})
export type ShareBody = z.output<typeof shareBody>

export function readShareBody(input: unknown): ReadResult<ShareBody> {
  return check(shareBody as unknown as z.ZodType<ShareBody>, input)
}

/** How often a link of each kind may be used: a sheet opened, measurements sent. */
export const shareTries: Readonly<Record<ShareKind, number>> = { sheet: 200, measure: 20 }

/** What the owner of a thing sent. */
export interface OwnersAnswer {
  /** What bare numbers are in. */
  readonly unit: Unit
  readonly readings: NonNullable<TypedObject['readings']>
  readonly note: string
  readonly at: string
}

/** A link as its workshop sees it. Its token is shown once, when it is made, and kept nowhere. */
export interface ShareRow {
  readonly id: string
  readonly kind: ShareKind
  readonly coverId: string
  readonly thing: number
  readonly createdAt: string
  readonly expiresAt: string
  readonly triesLeft: number
  readonly answer: OwnersAnswer | null
}

/** What is shown to whoever has a link, and nothing else of the workshop. */
export type Shared =
  | { readonly kind: 'sheet'; readonly expiresAt: string; readonly file: CoverFile }
  | {
      readonly kind: 'measure'
      readonly expiresAt: string
      readonly triesLeft: number
      /** Whether something was sent already. */
      readonly isAnswered: boolean
      /** The cover with the one thing that is asked about, as nobody has measured it. */
      readonly file: CoverFile
    }

const answerBody = z.strictObject({
  unit: z.unknown(),
  readings: z.record(z.string(), z.unknown()),
  note: z.string().trim().max(300).default(''),
})

/** Reads what an owner sends of a thing, as strictly as what the workshop itself measures. */
export function readOwnersAnswer(
  { readings: _none, ...object }: TypedObject,
  input: unknown,
): ReadResult<Omit<OwnersAnswer, 'at'>> {
  const said = check(answerBody, input)
  if (!said.ok) return said
  const { unit, readings, note } = said.value
  const read = readThingBody({ name: 'The thing', unit, object: { ...object, readings } })
  if (!read.ok)
    return {
      ok: false,
      issues: read.issues.map(issue => ({ ...issue, path: issue.path.replace(/^object\./, '') })),
    }
  const taken = read.value.object.readings ?? {}
  return Object.keys(taken).length > 0
    ? { ok: true, value: { unit: read.value.unit, readings: taken, note } }
    : { ok: false, issues: [{ path: 'readings', message: 'Expected a measurement, found none.' }] }
}

/** A cover with nothing but what its thing is and how it is made: what somebody needs who measures it. */
export function fileToMeasure(
  { format, version, name, unit, family, options }: CoverFile,
  thing: TypedObject,
): CoverFile {
  const { readings: _readings, ...object } = thing
  return {
    format,
    version,
    family,
    object: { ...object, readings: {} },
    layers: [{ role: 'outer', thickness: '0.3 mm' }],
    ...(name !== undefined && { name }),
    ...(unit && { unit }),
    ...(options && { options }),
  }
}

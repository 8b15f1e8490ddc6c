import type { CoverFile } from '../file/cover-schema.js'
import { findFamily } from '../families/registry.js'
import { listOptionFields } from '../families/option-fields.js'
import { readingRanges } from '../file/reading-ranges.js'
import { severityIn } from '../finding/severities.js'
import { formatLength } from '../length/format.js'
import { mm, scale, type Length } from '../length/length.js'
import type { Unit } from '../length/unit.js'
import { readingWords } from '../object/reading-words.js'
import { largestReading, readingKeys, type ReadingKey } from '../object/reading.js'
import { plan, type Plan } from '../plan/plan.js'
import { fitsOnSheet, type Sheet } from './sheet.js'
import { readPlannable } from './sizing-choices.js'

/** What is made as large as it can be: an option with a length, one reading, or the whole book in proportion. */
export type LimitQuestion =
  | { readonly kind: 'option'; readonly key: string }
  | { readonly kind: 'reading'; readonly key: ReadingKey }
  | { readonly kind: 'size' }

/** The largest value that still works: a length, or a factor for the whole book. */
export type Limit =
  | { readonly found: 'length'; readonly length: Length; readonly file: CoverFile }
  | { readonly found: 'factor'; readonly factor: number; readonly file: CoverFile }
  | { readonly found: 'nothing' }

/**
 * The largest value for which the cover can still be cut from the sheet, without an error or a warning that it does
 * not have as it stands. One search over plan(): what works is found on a coarse scale, then its upper end by halving.
 * Lengths come on the cutting grid; `nothing` where no value works or the cover cannot be planned.
 */
export function findLimit(file: CoverFile, question: LimitQuestion, sheet: Sheet): Limit {
  const cover = readPlannable(file)
  if (!cover) return { found: 'nothing' }
  const tolerated = troublesOf(plan(cover))
  const works = (candidate: CoverFile): boolean => {
    const made = readPlannable(candidate)
    if (!made) return false
    const planned = plan(made)
    return fitsOnSheet(planned, made, sheet) && troublesOf(planned).every(code => tolerated.includes(code))
  }
  if (question.kind === 'size') return findFactor(file, works)
  return findLength(file, question, works)
}

/** Errors are never tolerated; warnings that the cover has already are. */
function troublesOf({ findings }: Plan): readonly string[] {
  return findings
    .filter(finding => severityIn(finding) !== 'advice')
    .map(finding => (severityIn(finding) === 'error' ? `error ${finding.code}` : finding.code))
}

type Works = (candidate: CoverFile) => boolean

function findLength(
  file: CoverFile,
  question: Exclude<LimitQuestion, { kind: 'size' }>,
  works: Works,
): Limit {
  const unit = file.unit ?? 'in'
  const range = rangeOf(file, question, unit)
  const cover = readPlannable(file)
  if (!range || !cover) return { found: 'nothing' }
  const step = cover.grid
  const at = (steps: number) => withLength(file, question, scale(step, steps), unit)
  const first = Math.max(1, Math.ceil(range.min / step))
  const last = Math.floor(range.max / step)
  const steps = largestWorking({ first, last, start: startOf(file, question, step) }, count =>
    works(at(count)),
  )
  return steps === undefined
    ? { found: 'nothing' }
    : { found: 'length', length: scale(step, steps), file: at(steps) }
}

/** Whole percents of the book as it was measured, from a fifth to five times. */
function findFactor(file: CoverFile, works: Works): Limit {
  const percent = largestWorking({ first: 20, last: 500, start: 100 }, count =>
    works(scaleBook(file, count / 100)),
  )
  if (percent === undefined) return { found: 'nothing' }
  return { found: 'factor', factor: percent / 100, file: scaleBook(file, percent / 100) }
}

interface Search {
  readonly first: number
  readonly last: number
  readonly start: number
}

/** The largest whole number that works, above one that does: the start, or the largest of a coarse scale. */
function largestWorking(
  { first, last, start }: Search,
  works: (count: number) => boolean,
): number | undefined {
  if (last < first) return undefined
  const within = Math.min(last, Math.max(first, start))
  let low = works(within) ? within : coarse(first, last).findLast(count => works(count))
  if (low === undefined) return undefined
  let high = last + 1
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (works(middle)) low = middle
    else high = middle
  }
  return low
}

const coarseSteps = 24

function coarse(first: number, last: number): readonly number[] {
  return Array.from({ length: coarseSteps + 1 }, (_, index) =>
    Math.round(first + ((last - first) * index * index) / (coarseSteps * coarseSteps)),
  )
}

function rangeOf(file: CoverFile, question: Exclude<LimitQuestion, { kind: 'size' }>, unit: Unit) {
  if (question.kind === 'reading') return readingRanges[question.key]
  const schema = findFamily(file.family)?.options(unit)
  const field = schema && listOptionFields(schema).find(([key]) => key === question.key)?.[1]
  if (field?.field !== 'length') return undefined
  return { min: mm(field.minMm), max: mm(field.maxMm) }
}

function startOf(file: CoverFile, question: Exclude<LimitQuestion, { kind: 'size' }>, step: Length): number {
  const cover = readPlannable(file)
  if (!cover) return 1
  const settled = plan(cover).settled.options as Readonly<Record<string, unknown>>
  const now = question.kind === 'reading' ? largestReading(cover.object, question.key) : settled[question.key]
  return typeof now === 'number' ? Math.floor(now / step) : 1
}

function withLength(
  file: CoverFile,
  question: Exclude<LimitQuestion, { kind: 'size' }>,
  length: Length,
  unit: Unit,
): CoverFile {
  const typed = formatLength(length, unit)
  if (question.kind === 'option') return { ...file, options: { ...file.options, [question.key]: typed } }
  const object = file.object ?? file.objects?.[0]
  if (!object) return file
  const { objects: _objects, ...rest } = file
  return { ...rest, object: { ...object, readings: { ...object.readings, [question.key]: [typed] } } }
}

/** Every reading of the book but its thicknesses, larger or smaller by one factor. */
export function scaleBook(file: CoverFile, factor: number): CoverFile {
  const cover = readPlannable(file)
  const object = file.object ?? file.objects?.[0]
  if (!cover || !object) return file
  const unit = file.unit ?? 'in'
  const grown = readingKeys
    .filter(key => sized.has(key))
    .flatMap(key => {
      const length = largestReading(cover.object, key)
      return length === undefined
        ? []
        : [[key, [formatLength(scale(length, factor), unit, { finest: 64 })]] as const]
    })
  const { objects: _objects, ...rest } = file
  return { ...rest, object: { ...object, readings: { ...object.readings, ...Object.fromEntries(grown) } } }
}

/** What grows with the page; thickness, boards and grooves do not. */
const sized: ReadonlySet<ReadingKey> = new Set([
  'height',
  'width',
  'wrap',
  'openWidth',
  'pageWidth',
  'pageHeight',
])

/** Every question that has an answer for the cover: readings it has, lengths among its options, the whole book. */
export function listLimitQuestions(
  file: CoverFile,
): readonly { readonly question: LimitQuestion; readonly label: string }[] {
  const cover = readPlannable(file)
  if (!cover) return []
  const readings = readingKeys.filter(
    key =>
      cover.object.readings[key] !== undefined &&
      !['boardThickness', 'cornerRadius', 'grooveDepth'].includes(key),
  )
  return [
    { question: { kind: 'size' }, label: 'the whole book' },
    ...readings.map(key => ({
      question: { kind: 'reading', key } as const,
      label: readingWords[key].name.toLowerCase(),
    })),
    ...listOptionFields(cover.family.options(cover.unit)).flatMap(([key, field]) =>
      field.field === 'length'
        ? [{ question: { kind: 'option', key } as const, label: field.label.toLowerCase() }]
        : [],
    ),
  ]
}

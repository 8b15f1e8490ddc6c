import { inches, mm, type Length } from './length.js'
import type { Unit } from './unit.js'
import { spellPlainly } from './spelling.js'

export interface ParsedLength {
  readonly ok: true
  readonly length: Length
  /** The maker said `about`: the reading is less sure than the tape's division. */
  readonly about: boolean
}

export interface UnreadLength {
  readonly ok: false
  readonly problem: LengthProblem
}

/** Why a text is not a length. `understood` is the part that made sense, empty when none did. */
export interface LengthProblem {
  readonly code:
    | 'empty'
    | 'no-number'
    | 'negative'
    | 'bad-fraction'
    | 'top-heavy'
    | 'unknown-unit'
    | 'not-understood'
    | 'too-large'
  readonly text: string
  readonly understood: string
  readonly rest: string
  /** What was probably meant, ready to be typed. */
  readonly rather?: string
}

type Outcome = ParsedLength | UnreadLength

const decimal = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`
const amount = String.raw`(?:\d+(?:\s+|\s*-\s*)\d+\s*/\s*\d+|\d+\s*/\s*\d+|${decimal})`
const plainPattern = new RegExp(String.raw`^(${amount})\s*([a-z"'.]*)$`)
const feetPattern = new RegExp(
  String.raw`^(${amount})\s*(?:'|ft\.?|feet|foot)\s*(?:(${amount})\s*(?:"|in\.?|inch|inches)?)?$`,
)
const startPattern = new RegExp(String.raw`^(${amount})\s*(.*)$`)
const unitWords: ReadonlyMap<string, Unit> = new Map([
  ...words('in', '"', "''", 'in', 'in.', 'inch', 'inches'),
  ...words('cm', 'cm', 'cm.', 'centimetre', 'centimetres', 'centimeter', 'centimeters'),
  ...words('mm', 'mm', 'mm.', 'millimetre', 'millimetres', 'millimeter', 'millimeters'),
])
const longestText = 40
const largestMm = 100_000

/**
 * Reads a length as a maker says or types it: `8 3/4`, `8-3/4`, `8¾`, `8.75"`, `22,2 cm`, `222 mm`, `1' 2"`,
 * `about 9`. A bare number is in `unit`. Never negative; zero is read as zero and left to the caller to judge.
 */
export function parseLength(text: string, unit: Unit): Outcome {
  if (text.length > longestText) return refuse('not-understood', text.slice(0, longestText) + '…', '', '')
  const { plain, about } = spellPlainly(text)
  if (plain === '') return refuse('empty', text, '', '')
  if (/^-\s*[\d.,]/.test(plain)) return refuse('negative', text, '', '')
  const feet = feetPattern.exec(plain)
  if (feet?.[1] !== undefined) return readFeet(text, feet[1], feet[2], about)
  const single = plainPattern.exec(plain)
  const named = single?.[2] === '' ? unit : unitWords.get(single?.[2] ?? '')
  if (single?.[1] !== undefined && named) return readAmount(text, single[1], named, about)
  return refuseRest(text, plain)
}

function readAmount(text: string, words: string, unit: Unit, about: boolean): Outcome {
  const rather = loosenFraction(words)
  if (rather !== undefined)
    return { ok: false, problem: { code: 'top-heavy', text, understood: words, rest: '', rather } }
  const value = amountOf(words)
  if (value === undefined) return refuse('bad-fraction', text, words, '')
  const length = toLength(value, unit)
  return length === undefined ? refuse('too-large', text, words, '') : { ok: true, length, about }
}

function readFeet(text: string, feetWords: string, inchWords: string | undefined, about: boolean): Outcome {
  const feet = amountOf(feetWords)
  const rest = inchWords === undefined ? 0 : amountOf(inchWords)
  if (feet === undefined || rest === undefined) return refuse('bad-fraction', text, feetWords, '')
  const length = toLength(feet * 12 + rest, 'in')
  return length === undefined ? refuse('too-large', text, feetWords, '') : { ok: true, length, about }
}

/**
 * What a fraction that is a whole or more was probably meant to be: 93/8 is 9 3/8 without its space, 9/8 is 1 1/8. Of
 * several ways to put the space in, the one with the longest upper number: 1013/16 is 10 13/16. Undefined for any other.
 */
function loosenFraction(words: string): string | undefined {
  const [, digits = '', below = ''] = /^(\d+)\s*\/\s*(\d+)$/.exec(words) ?? []
  const [top, bottom] = [Number(digits), Number(below)]
  if (bottom === 0 || top < bottom) return undefined
  for (let split = 1; split < digits.length; split++) {
    const over = Number(digits.slice(split))
    if (digits[split] !== '0' && over < bottom) return `${digits.slice(0, split)} ${over}/${bottom}`
  }
  const [whole, over] = [Math.floor(top / bottom), top % bottom]
  return over === 0 ? String(whole) : `${whole} ${over}/${bottom}`
}

/** Undefined for a fraction over nothing, or one that is a whole or more beside a whole number (8 5/4). */
function amountOf(words: string): number | undefined {
  const mixed = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(words)
  if (!mixed) return Number(words.replace(',', '.'))
  const [whole, top, bottom] = [Number(mixed[1] ?? 0), Number(mixed[2]), Number(mixed[3])]
  if (bottom === 0 || (mixed[1] !== undefined && top >= bottom)) return undefined
  return whole + top / bottom
}

function toLength(value: number, unit: Unit): Length | undefined {
  const inMm = unit === 'in' ? value * 25.4 : unit === 'cm' ? value * 10 : value
  if (!(inMm <= largestMm)) return undefined
  return unit === 'in' ? inches(value) : mm(inMm)
}

function refuseRest(text: string, plain: string): UnreadLength {
  const start = startPattern.exec(plain)
  if (!start) return refuse('no-number', text, '', plain)
  const [understood, rest] = [start[1] ?? '', start[2] ?? '']
  return refuse(/^[a-z."']+$/.test(rest) ? 'unknown-unit' : 'not-understood', text, understood, rest)
}

function refuse(code: LengthProblem['code'], text: string, understood: string, rest: string): UnreadLength {
  return { ok: false, problem: { code, text, understood, rest } }
}

function words(unit: Unit, ...spellings: readonly string[]): readonly (readonly [string, Unit])[] {
  return spellings.map(spelling => [spelling, unit])
}

import type { Finding, FindingCode } from '../../finding/finding.js'
import type { Fit } from '../../fit/fit.js'
import { formatLength } from '../../length/format.js'
import { toJsonMm } from '../../length/length.js'
import type { Unit } from '../../length/unit.js'
import type { Piece } from '../../piece/piece.js'
import { plan, type Plan } from '../../plan/plan.js'
import type { CoverFile } from '../cover-schema.js'
import type { Cover } from '../cover.js'
import { formatIssue } from '../issue.js'
import { readCover } from '../read-cover.js'

/** A slip-on cover with padding and ties, every number stated; what a test is about goes into `changes`. */
export function coverFile(changes: Partial<CoverFile> = {}): CoverFile {
  return {
    format: 'snowdrift/cover',
    version: 2,
    name: 'Hut ledger',
    unit: 'in',
    grid: '1/8 in',
    object: {
      kind: 'hardcover',
      spine: 'flat',
      foldsBack: true,
      tapeDivision: '1/16 in',
      readings: {
        height: ['9 3/8', '9 5/16'],
        width: ['6 5/8'],
        thickness: ['1 3/16'],
        boardThickness: ['1/8'],
      },
    },
    family: 'slip-cover',
    seam: '1/4 in',
    sizing: { mode: 'computed', easeWidth: '5 mm', easeHeight: '5 mm' },
    options: { flapStyle: 'folded', flapDepth: '3 in' },
    layers: [
      { role: 'lining', name: 'plain cotton', thickness: '0.28 mm' },
      { role: 'padding', name: 'fleece', thickness: '3 mm', squash: 0.4, inset: '1/2 in' },
      { role: 'outer', name: 'printed cotton', thickness: '0.28 mm', stretchAlong: 1, stretchAcross: 2.5 },
    ],
    extras: [],
    ...changes,
  }
}

/** The same in millimetres: 240 × 160 × 20, board 2, no padding, outer 0.32 and lining 0.25 thick. */
export function metricFile(changes: Partial<CoverFile> = {}): CoverFile {
  return coverFile({
    unit: 'mm',
    grid: '1 mm',
    seam: '6 mm',
    object: {
      kind: 'hardcover',
      readings: { height: ['240'], width: ['160'], thickness: ['20'], boardThickness: ['2'] },
    },
    options: {},
    layers: [
      { role: 'lining', name: 'lining', thickness: '0.25 mm' },
      { role: 'outer', name: 'outer', thickness: '0.3125 mm' },
    ],
    ...changes,
  })
}

/** A thing that every way of making can be planned for, in millimetres: all its readings taken. */
export const everyReading: CoverFile['object'] = {
  kind: 'hardcover',
  edges: 'square',
  readings: {
    height: ['240 mm'],
    width: ['160 mm'],
    thickness: ['20 mm'],
    boardThickness: ['2 mm'],
    pageWidth: ['150 mm'],
    pageHeight: ['230 mm'],
    contentsThickness: ['16 mm'],
  },
}

/** A cover of that family for that thing, lined, nothing else said. */
export function familyFile(family: string, changes: Partial<CoverFile> = {}): CoverFile {
  const { seam: _seam, ...file } = metricFile({
    family,
    object: everyReading,
    sizing: { mode: 'computed' },
    ...changes,
  })
  return changes.seam === undefined ? file : { ...file, seam: changes.seam }
}

/** Reads a file that a test knows to be good. */
export function coverFrom(file: CoverFile): Cover {
  const read = readCover(file)
  if (!read.ok) throw new Error(read.issues.map(formatIssue).join('\n'))
  return read.value
}

export function planFrom(file: CoverFile): Plan {
  return plan(coverFrom(file))
}

export function codesOf({ findings }: Plan): readonly string[] {
  return findings.map(finding => finding.code)
}

export function pieceOf(plan: Plan, id: string): Piece {
  const piece = plan.pieces.find(candidate => candidate.id === id)
  if (!piece) throw new Error(`No piece ${id} among ${plan.pieces.map(({ id: known }) => known).join(', ')}`)
  return piece
}

/** “2 × 15 3/4 in × 10 1/2 in”. */
export function cutOf(plan: Plan, id: string, unit: Unit = 'mm'): string {
  const { count, width, height } = pieceOf(plan, id)
  return `${count} × ${formatLength(width.cut, unit)} × ${formatLength(height.cut, unit)}`
}

/** Before rounding, in millimetres to four decimals. */
export function exactOf(plan: Plan, id: string): readonly [number, number] {
  const { width, height } = pieceOf(plan, id)
  return [toJsonMm(width.exact), toJsonMm(height.exact)]
}

export function fitOf(plan: Plan, direction: 'width' | 'height'): Fit {
  const fit = plan.fits.find(candidate => candidate.direction === direction)
  if (!fit) throw new Error(`No fit for ${direction}`)
  return fit
}

/** Its length as cut, in millimetres to four decimals; undefined for what is only counted. */
export function notionOf(
  plan: Plan,
  id: string,
): { readonly count: number; readonly mm: number | undefined; readonly exact: number | undefined } {
  const notion = plan.notions.find(candidate => candidate.id === id)
  if (!notion)
    throw new Error(`No notion ${id} among ${plan.notions.map(({ id: known }) => known).join(', ')}`)
  const { count, length } = notion
  return { count, mm: length && toJsonMm(length.cut), exact: length && toJsonMm(length.exact) }
}

export function panelsOf(plan: Plan): Readonly<Record<string, number>> {
  return Object.fromEntries(plan.strip.panels.map(({ id, width }) => [id, toJsonMm(width)]))
}

export function findingOf(plan: Plan, code: FindingCode): Finding {
  const finding = plan.findings.find(candidate => candidate.code === code)
  if (!finding) throw new Error(`No ${code} among ${codesOf(plan).join(', ')}`)
  return finding
}

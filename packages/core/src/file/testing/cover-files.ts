import { plan, type Plan } from '../../plan.js'
import type { CoverFile } from '../cover-schema.js'
import type { Cover } from '../cover.js'
import { formatIssue } from '../issue.js'
import { readCover } from '../read-cover.js'

/** A slip-on cover with padding and ties, every number stated; what a test is about goes into `changes`. */
export function coverFile(changes: Partial<CoverFile> = {}): CoverFile {
  return {
    format: 'snowdrift/cover',
    version: 1,
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

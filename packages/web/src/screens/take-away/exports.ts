import type { Audience, ExportKind, LabelSheet, PaperName, Unit } from '@snowdrift/core'

/** How each way of taking a cover away is offered. */
export interface Offer {
  readonly kind: ExportKind
  readonly name: string
  readonly words: string
  readonly extension: string
}

export const onPaper: readonly Offer[] = [
  {
    kind: 'sheet',
    name: 'Project sheet',
    words: 'The thing, the choices, every piece with its cloth, notions, what to mind, the steps with boxes.',
    extension: 'pdf',
  },
  {
    kind: 'templates',
    name: 'Templates',
    words: 'Pieces at true size over as many sheets as it takes, with squares to check the scale.',
    extension: 'pdf',
  },
  {
    kind: 'labels',
    name: 'Labels',
    words: 'One to pin on each piece: size, cloth, which end is the top, what it could be taken for.',
    extension: 'pdf',
  },
  {
    kind: 'card',
    name: 'Measuring card',
    words: 'For whoever has the thing at hand: what to measure, where the tape goes, lines to write on.',
    extension: 'pdf',
  },
]

export const forMachines: readonly Offer[] = [
  {
    kind: 'svg',
    name: 'SVG',
    words: 'Outlines at true size, a layer each to cut, fold, stitch, mark.',
    extension: 'svg',
  },
  {
    kind: 'dxf',
    name: 'DXF',
    words: 'The same for drawing programs and cutting machines.',
    extension: 'dxf',
  },
  {
    kind: 'hpgl',
    name: 'HPGL',
    words: 'For plotters: a pen for each layer, what is cut last.',
    extension: 'plt',
  },
  { kind: 'csv', name: 'CSV', words: 'The list of pieces and notions as a table.', extension: 'csv' },
]

export const paperWords: Readonly<Record<PaperName, string>> = { a4: 'A4', letter: 'Letter', a0: 'A0' }

export const audienceWords: Readonly<Record<Audience, string>> = {
  maker: 'for yourself',
  sewist: 'for somebody who sews it',
}

export const labelWords: Readonly<Record<LabelSheet, string>> = {
  'a4-8': '8 on A4',
  'a4-14': '14 on A4',
  'a4-24': '24 on A4',
  'letter-10': '10 on Letter',
  'letter-30': '30 on Letter',
  roll: 'one a page, for a label printer',
}

/** What is usual where one measures so. */
export function usualPaper(unit: Unit): PaperName {
  return unit === 'in' ? 'letter' : 'a4'
}

import { readingKeys, type ReadingKey } from '../object/reading.js'
import { readingWords } from '../object/reading-words.js'
import type { Table } from './table.js'

/** The columns of the table that measured things go out and come in as. A line is one thing. */
export const thingsColumns = [
  'name',
  'kind',
  'unit',
  'spine',
  'foldsBack',
  'edges',
  'frontStiffness',
  'backStiffness',
  'tapeDivision',
  ...readingKeys,
] as const
export type ThingsColumn = (typeof thingsColumns)[number]

const also: readonly (readonly [RegExp, ThingsColumn])[] = [
  [/^(title|book|thing|device|item|what|label)$/, 'name'],
  [/^(type|category|sort)$/, 'kind'],
  [/^(h|tall|length|long|height.*)$/, 'height'],
  [/^(w|wide|breadth|across|width.*)$/, 'width'],
  [/^(t|d|thick|depth|deep|thickness.*|spine width)$/, 'thickness'],
  [/^(wrap|round|girth|around)$/, 'wrap'],
  [/^(open|open width|opened)$/, 'openWidth'],
  [/^(board|boards|board thickness|cover board)$/, 'boardThickness'],
  [/^(coil|rings?|coil diameter)$/, 'coilDiameter'],
  [/^(units?)$/, 'unit'],
]

const readingNames = Object.fromEntries(
  readingKeys.map(key => [key, readingWords[key].name.toLowerCase()]),
) as Record<ReadingKey, string>

export const thingsTable: Table<ThingsColumn> = {
  columns: thingsColumns,
  words: {
    name: 'what it is called',
    kind: 'what it is (hardcover, notebook, tablet …)',
    unit: 'unit',
    spine: 'spine (flat, rounded, coil)',
    foldsBack: 'folds back (yes, no)',
    edges: 'edges (square, eased, round)',
    frontStiffness: 'stiffness of its front',
    backStiffness: 'stiffness of its back',
    tapeDivision: 'finest mark of the tape',
    ...readingNames,
  },
  also,
  needed: ['name'],
}

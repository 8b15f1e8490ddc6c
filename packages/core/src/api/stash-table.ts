import type { Table } from './table.js'

/** The columns of the table that a stash goes out and comes in as. A line is one material, and one of its pieces. */
export const stashColumns = [
  'name',
  'role',
  'unit',
  'thickness',
  'swatch',
  'weave',
  'print',
  'repeat',
  'usableWidth',
  'price',
  'notion',
  'shrinkage',
  'washed',
  'stretchAlong',
  'stretchAcross',
  'squash',
  'takeUp',
  'seeThrough',
  'frays',
  'stiffness',
  'pieceSource',
  'pieceWidth',
  'pieceLength',
  'pieceCount',
  'pieceNote',
] as const
export type StashColumn = (typeof stashColumns)[number]

const stashColumnWords: Readonly<Record<StashColumn, string>> = {
  name: 'name of the material',
  role: 'what it is for (outer, lining, padding …)',
  unit: 'unit',
  thickness: 'thickness',
  swatch: 'colour',
  weave: 'swatch pattern',
  print: 'print',
  repeat: 'repeat of the print',
  usableWidth: 'usable width of the bolt',
  price: 'price',
  notion: 'kind of notion',
  shrinkage: 'shrinks by, %',
  washed: 'washed',
  stretchAlong: 'stretch along, %',
  stretchAcross: 'stretch across, %',
  squash: 'squash',
  takeUp: 'take-up when quilted, %',
  seeThrough: 'see-through',
  frays: 'frays',
  stiffness: 'stiffness',
  pieceSource: 'what the piece is (remnant, yardage …)',
  pieceWidth: 'width of the piece, across the grain',
  pieceLength: 'length of the piece, along the grain',
  pieceCount: 'how many alike',
  pieceNote: 'note',
}

const also: readonly (readonly [RegExp, StashColumn])[] = [
  [/^(name|material|fabric|cloth|title|item)$/, 'name'],
  [/^(role|type|kind|use|category|for)$/, 'role'],
  [/^(width|w|across|breadth)$/, 'pieceWidth'],
  [/^(length|l|height|along|long)$/, 'pieceLength'],
  [/^(count|quantity|qty|number|pieces|how many)$/, 'pieceCount'],
  [/^(notes?|comment|remarks?|where)$/, 'pieceNote'],
  [/^(price|cost)$/, 'price'],
  [/^(colou?r)$/, 'swatch'],
  [/^(thickness|thick)$/, 'thickness'],
  [/^(shrinkage|shrinks)$/, 'shrinkage'],
]

export const stashTable: Table<StashColumn> = {
  columns: stashColumns,
  words: stashColumnWords,
  also,
  needed: ['name'],
}

/** A kind of table that comes in as CSV: its columns, as the screen calls them and as makers head them. */
export interface Table<Column extends string = string> {
  readonly columns: readonly Column[]
  readonly words: Readonly<Record<Column, string>>
  /** What else a column may be headed. */
  readonly also: readonly (readonly [RegExp, Column])[]
  /** Columns without which a line says nothing. */
  readonly needed: readonly Column[]
}

/** Which of our columns a table's own stand for; a column that stands for none of them is left out. */
export type ColumnMatch<Column extends string = string> = Readonly<Record<string, Column>>

/** A first guess at what a table's columns stand for, by their headings; each of ours once. */
export function guessColumns<Column extends string>(
  { columns, also }: Table<Column>,
  headings: readonly string[],
): ColumnMatch<Column> {
  const taken = new Set<Column>()
  return Object.fromEntries(
    headings.flatMap(heading => {
      const plain = heading.trim().toLowerCase()
      const column =
        columns.find(known => known.toLowerCase() === plain) ??
        also.find(([pattern]) => pattern.test(plain))?.[1]
      if (!column || taken.has(column)) return []
      taken.add(column)
      return [[heading, column] as const]
    }),
  )
}

interface Imported {
  readonly added: number
  readonly known: number
  readonly pieces: number
  readonly readAs?: string
}

/** What came of a table: what is new, what was there already. */
export function sayImported({ added, known, pieces, readAs }: Imported): string {
  return [
    `${counted(added, 'material was', 'materials were')} added.`,
    known > 0
      ? `${counted(known, 'was', 'were')} in the stash already and ${known === 1 ? 'is' : 'are'} left as ${known === 1 ? 'it is' : 'they are'}.`
      : '',
    pieces > 0 ? `${counted(pieces, 'piece', 'pieces')} more came to those.` : '',
    readAs ? `The table was read as ${readAs}: look whether the letters are right.` : '',
  ]
    .filter(Boolean)
    .join(' ')
}

function counted(count: number, one: string, several: string): string {
  return `${count === 0 ? 'No' : count} ${count === 1 ? one : several}`
}

/** How a kind of row says its places and values; undefined where it has no words of its own. */
export interface DifferenceWords {
  readonly place: (path: readonly string[]) => string | undefined
  readonly value: (path: readonly string[], value: unknown) => string | undefined
}

/** One place in which two bodies differ, as a person would look for it. */
export interface Difference {
  readonly path: string
  readonly mine: string
  readonly theirs: string
}

const most = 12
/** What the work is wrapped in on its way, and no maker's word. */
const wrappers = new Set(['file', 'plan'])

/** Where two bodies differ, deepest places named; at most twelve. Of equal ones, none. */
export function listDifferences(
  mine: unknown,
  theirs: unknown,
  words: DifferenceWords = plainWords,
): readonly Difference[] {
  return compare([], [mine, theirs], words).slice(0, most)
}

const plainWords: DifferenceWords = { place: () => undefined, value: () => undefined }

function compare(
  path: readonly string[],
  [mine, theirs]: readonly [unknown, unknown],
  words: DifferenceWords,
): readonly Difference[] {
  if (Object.is(mine, theirs)) return []
  if (!isBranch(mine) || !isBranch(theirs)) {
    const say = (value: unknown) => words.value(path, value) ?? show(value)
    const [here, there] = [say(mine), say(theirs)]
    const place = words.place(path) ?? path.map(nameOf).join(' › ')
    return here === there ? [] : [{ path: place, mine: here, theirs: there }]
  }
  const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])]
  return keys.flatMap(key =>
    compare(wrappers.has(key) ? path : [...path, key], [mine[key], theirs[key]], words),
  )
}

function isBranch(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null
}

/** flapDepth → flap depth; the second of a list is 2. */
function nameOf(key: string): string {
  return /^\d+$/.test(key)
    ? String(Number(key) + 1)
    : key.replace(/[A-Z]/g, letter => ` ${letter.toLowerCase()}`)
}

const nothing = '–'
const id = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12} ?/gi

/** A value as a maker reads it: what stands only on one side by the name that it goes by, and nobody's ids. */
function show(value: unknown): string {
  if (value === undefined || value === null || value === '') return nothing
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (Array.isArray(value)) return value.length === 0 ? nothing : value.map(show).join(', ')
  if (typeof value === 'string') return value.replaceAll(id, '') || 'another'
  if (!isBranch(value)) return JSON.stringify(value)
  const name = value.name ?? value.type ?? value.piece ?? value.role
  return name === undefined ? Object.entries(value).map(sayEntry).join(', ') || nothing : show(name)
}

function sayEntry([key, value]: readonly [string, unknown]): string {
  return `${nameOf(key)} ${show(value)}`
}

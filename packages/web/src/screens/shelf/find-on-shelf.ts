import { coverStates, type CoverState, type ShelfEntry } from '@snowdrift/core'

export const stateWords: Readonly<Record<CoverState, string>> = {
  draft: 'planned',
  cut: 'cut',
  bench: 'on the bench',
  made: 'made',
  worn: 'in use',
}

export const orders = ['newest', 'changed', 'name', 'due', 'state'] as const
export type ShelfOrder = (typeof orders)[number]

export const orderWords: Readonly<Record<ShelfOrder, string>> = {
  newest: 'newest first',
  changed: 'last changed first',
  name: 'by name',
  due: 'by date',
  state: 'by how far they are',
}

/** What is looked for on the shelf; empty is everything. */
export interface Sought {
  readonly text: string
  readonly state: CoverState | ''
  readonly family: string
  readonly order: ShelfOrder
  readonly archived: boolean
}

export const everything: Sought = { text: '', state: '', family: '', order: 'newest', archived: false }

/**
 * The covers that are looked for, in their order; every word of the text stands in name, thing or cloths. The newest
 * first is how they come.
 */
export function findOnShelf(entries: readonly ShelfEntry[], sought: Sought): readonly ShelfEntry[] {
  const words = sought.text.toLowerCase().split(/\s+/).filter(Boolean)
  const found = entries.filter(
    entry =>
      entry.archived === sought.archived &&
      (sought.state === '' || entry.state === sought.state) &&
      (sought.family === '' || entry.family === sought.family) &&
      words.every(word => textOf(entry).includes(word)),
  )
  const compare = comparers[sought.order]
  return compare ? found.toSorted(compare) : found
}

function textOf({ name, thing, cloths, kind }: ShelfEntry): string {
  return [name, thing ?? '', kind, ...cloths].join(' ').toLowerCase()
}

const text = (one: string, other: string) =>
  one.localeCompare(other, 'en', { sensitivity: 'base', numeric: true })
/** Undated ones come last. */
const never = '9999'

const comparers: Readonly<Record<ShelfOrder, ((one: ShelfEntry, other: ShelfEntry) => number) | undefined>> =
  {
    newest: undefined,
    changed: (one, other) => text(other.updatedAt, one.updatedAt),
    name: (one, other) => text(one.name, other.name),
    due: (one, other) => text(one.due ?? never, other.due ?? never),
    state: (one, other) => coverStates.indexOf(one.state) - coverStates.indexOf(other.state),
  }

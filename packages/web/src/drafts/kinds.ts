import {
  bodyOf,
  coverColumns,
  cuttingColumns,
  makeColumns,
  makingColumns,
  materialColumns,
  mergeProgress,
  settingsOf,
  thingColumns,
  type CoverBody,
  type CoverRow,
  type CuttingBody,
  type CuttingRow,
  type MakeBody,
  type MakeRow,
  type MakingBody,
  type MakingRow,
  type MaterialBody,
  type MaterialRow,
  type SettingsBody,
  type SettingsRow,
  type ThingBody,
  type ThingRow,
} from '@snowdrift/core'

/** What a maker changes and the server keeps, by kind: the row as it comes, and what of it can be changed. */
export interface Kinds {
  readonly cover: { readonly row: CoverRow; readonly body: CoverBody }
  readonly thing: { readonly row: ThingRow; readonly body: ThingBody }
  readonly cutting: { readonly row: CuttingRow; readonly body: { readonly plan: CuttingBody } }
  readonly material: { readonly row: MaterialRow; readonly body: MaterialBody }
  readonly making: { readonly row: MakingRow; readonly body: MakingBody }
  readonly make: { readonly row: MakeRow; readonly body: MakeBody }
  readonly settings: { readonly row: SettingsRow; readonly body: SettingsBody }
}

export type Kind = keyof Kinds
export type RowOf<K extends Kind> = Kinds[K]['row']
export type BodyOf<K extends Kind> = Kinds[K]['body']

/** A row as a draft is opened from it. */
export interface Standing<Body> {
  readonly version: number
  readonly body: Body
}

/** The names of kinds in the cache of what was read. */
export type Tag =
  'Covers' | 'Things' | 'Cuttings' | 'Materials' | 'Stash' | 'History' | 'Settings' | 'Makings' | 'Makes'

interface KindFacts<K extends Kind> {
  readonly addressOf: (id: string) => string
  readonly bodyOf: (row: RowOf<K>) => BodyOf<K>
  /** What is read anew once a row was saved. */
  readonly tags: readonly Tag[]
  /** How two bodies come together where both windows’ work can be kept; without it the maker chooses. */
  readonly merge?: (mine: BodyOf<K>, theirs: BodyOf<K>) => BodyOf<K>
}

export const kinds: { readonly [K in Kind]: KindFacts<K> } = {
  cover: {
    addressOf: id => `/covers/${id}`,
    bodyOf: row => bodyOf(coverColumns, row),
    tags: ['Covers'],
  },
  thing: {
    addressOf: id => `/things/${id}`,
    bodyOf: row => bodyOf(thingColumns, row),
    tags: ['Things'],
  },
  cutting: {
    addressOf: id => `/cuttings/${id}`,
    bodyOf: row => bodyOf(cuttingColumns, row),
    tags: ['Cuttings'],
  },
  material: {
    addressOf: id => `/materials/${id}`,
    bodyOf: row => bodyOf(materialColumns, row),
    tags: ['Materials', 'History'],
  },
  making: {
    addressOf: id => `/makings/${id}`,
    bodyOf: row => bodyOf(makingColumns, row),
    tags: ['Makings'],
    merge: (mine, theirs) => ({ progress: mergeProgress(mine.progress, theirs.progress) }),
  },
  make: {
    addressOf: id => `/makes/${id}`,
    bodyOf: row => bodyOf(makeColumns, row),
    tags: ['Makes'],
  },
  settings: {
    addressOf: () => '/settings',
    bodyOf: settingsOf,
    tags: ['Settings'],
  },
}

/** The id under which the settings are worked on; there is one row of them. */
export const settingsId = 'settings'

/** Names one row of one kind; drafts are kept under it. */
export type Ref = `${Kind}/${string}`

export function refOf(kind: Kind, id: string): Ref {
  return `${kind}/${id}`
}

export function kindOf(ref: Ref): Kind {
  return ref.slice(0, ref.indexOf('/')) as Kind
}

export function idOf(ref: Ref): string {
  return ref.slice(ref.indexOf('/') + 1)
}

/** What stands in a row, as drafts see it. */
export function standingOf<K extends Kind>(kind: K, row: RowOf<K>): Standing<BodyOf<K>> {
  return { version: row.version, body: kinds[kind].bodyOf(row) }
}

/** How two bodies of a kind come together, where they can. */
export function mergeOf(kind: Kind): ((mine: unknown, theirs: unknown) => unknown) | undefined {
  return kinds[kind].merge as ((mine: unknown, theirs: unknown) => unknown) | undefined
}

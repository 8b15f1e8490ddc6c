/** What of a workshop can change under the eyes of others. */
export const changedKinds = [
  'cover',
  'thing',
  'material',
  'cutting',
  'rule',
  'making',
  'make',
  'mark',
  'stash',
  'settings',
  'picture',
  'photo',
  'share',
  'device',
  'sharing',
  'people',
] as const
export type ChangedKind = (typeof changedKinds)[number]

/** Something of a workshop that was changed, as those hear of it who look at it meanwhile. */
export interface Change {
  readonly kind: ChangedKind
  /** Null where several were changed at once. */
  readonly id: string | null
  readonly version: number | null
}

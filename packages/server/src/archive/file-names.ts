import { archiveKinds, type ArchiveKind } from '@snowdrift/core'

/** What the files of an archive are called. The id of a row is its file’s name and stands nowhere else. */
export type NamedFile =
  | { readonly kind: 'manifest' }
  | { readonly kind: 'settings' }
  | { readonly kind: ArchiveKind | 'history' | PackedKind; readonly id: string }

/** Pictures are packed already. */
const packedKinds = ['pictures', 'photos'] as const
type PackedKind = (typeof packedKinds)[number]

export const manifestFile = 'workshop.json'
export const settingsFile = 'settings.json'

export function fileOf(kind: ArchiveKind | 'history' | PackedKind, id: string): string {
  const isPicture = packedKinds.some(packed => packed === kind)
  return `${kind}/${id}.${isPicture ? 'webp' : 'json'}`
}

const uuid = '[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}'
const pattern = new RegExp(
  `^(?:(${[...archiveKinds, 'history'].join('|')})/(${uuid})\\.json|(${packedKinds.join('|')})/(${uuid})\\.webp)$`,
)

/** What a file of an archive is by its name; undefined for every other name, so that none can reach out of its place. */
export function namedFile(name: string): NamedFile | undefined {
  if (name === manifestFile) return { kind: 'manifest' }
  if (name === settingsFile) return { kind: 'settings' }
  const [, kind, id, packed, picture] = pattern.exec(name) ?? []
  if (packed && picture) return { kind: packed as PackedKind, id: picture }
  return kind && id ? { kind: kind as ArchiveKind | 'history', id } : undefined
}

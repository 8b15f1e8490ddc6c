import type { ArchiveKind, CoverBody, CuttingBody } from '@snowdrift/core'
import { createHash } from 'node:crypto'
import type { ArchiveRow } from '../db/repositories/archive-repository.js'

/** A row that another names. */
export interface Reference {
  readonly kind: ArchiveKind
  readonly id: string
  /** Where it is named. */
  readonly path: string
}

/** The rows that a row names and cannot be without. */
export function referencesOf(kind: ArchiveKind, { values }: ArchiveRow): readonly Reference[] {
  if (kind === 'covers') {
    const { thingId } = values as unknown as CoverBody
    return thingId === null ? [] : [{ kind: 'things', id: thingId, path: 'thingId' }]
  }
  if (kind !== 'pieces') return []
  const { coverId } = values as { readonly coverId: string | null }
  return coverId === null ? [] : [{ kind: 'covers', id: coverId, path: 'coverId' }]
}

export type Renamed = (kind: ArchiveKind, id: string) => string

/** A row whose id, and those that it names, are what `renamed` has for them. */
export function withIds(kind: ArchiveKind, { id, values }: ArchiveRow, renamed: Renamed): ArchiveRow {
  const own = (named: unknown, of: ArchiveKind) => (typeof named === 'string' ? renamed(of, named) : null)
  switch (kind) {
    case 'covers':
      return { id: renamed(kind, id), values: { ...values, thingId: own(values.thingId, 'things') } }
    case 'pieces':
      return {
        id: renamed(kind, id),
        values: {
          ...values,
          materialId: own(values.materialId, 'materials'),
          coverId: own(values.coverId, 'covers'),
        },
      }
    case 'cuttings': {
      const { plan } = values as unknown as { readonly plan: CuttingBody }
      return { id: renamed(kind, id), values: { plan: planWithIds(plan, renamed) } }
    }
    case 'makes':
      return { id: renamed(kind, id), values: { ...values, coverId: own(values.coverId, 'covers') } }
    // These go by the id of their cover.
    case 'makings':
    case 'marks':
      return { id: renamed('covers', id), values }
    default:
      return { id: renamed(kind, id), values }
  }
}

function planWithIds(plan: CuttingBody, renamed: Renamed): CuttingBody {
  return {
    ...plan,
    coverIds: plan.coverIds.map(id => renamed('covers', id)),
    sources: Object.fromEntries(
      Object.entries(plan.sources).map(([group, source]) => [
        group,
        {
          ...source,
          materialId: source.materialId === null ? null : renamed('materials', source.materialId),
          pieces: source.pieces?.map(id => renamed('pieces', id)) ?? null,
        },
      ]),
    ),
  }
}

/**
 * The id that a row takes in this workshop where its own belongs to another: always the same, so that an archive that
 * comes in twice adds nothing the second time. A version 8 UUID (RFC 9562) of both ids.
 */
export function ownId(workshop: string, id: string): string {
  const hash = createHash('sha256').update(`${workshop} ${id}`).digest()
  hash[6] = ((hash[6] ?? 0) & 0x0f) | 0x80
  hash[8] = ((hash[8] ?? 0) & 0x3f) | 0x80
  const hex = hash.toString('hex')
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20, 32)].join(
    '-',
  )
}

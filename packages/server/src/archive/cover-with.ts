import type { CoverRow, CuttingBody, StashPieceRow, TypedMaterial } from '@snowdrift/core'
import type { ArchiveRow } from '../db/repositories/archive-repository.js'
import type { Repositories } from '../db/repositories/repositories.js'
import { rowsOf, type Wanted } from './write-archive.js'

/**
 * What goes out with one cover: its thing, how far its making has come, its own cutting, and of the stash the materials
 * that it names with those of their pieces that nobody else has.
 */
export async function coverWith(
  repositories: Repositories,
  workshop: string,
  { id, thingId, file }: CoverRow,
): Promise<Wanted> {
  const named = new Set([...file.layers, ...(file.cloths ?? [])].map(({ name }) => plain(name)))
  const materials = new Set<string>()
  for await (const row of rowsOf(repositories, 'materials', workshop))
    if (named.has(plain((row.values.material as TypedMaterial).name))) materials.add(row.id)
  const isWanted = {
    things: row => row.id === thingId,
    materials: row => materials.has(row.id),
    covers: row => row.id === id,
    pieces: row => {
      const { materialId, coverId } = row.values as unknown as StashPieceRow
      return materials.has(materialId) && (coverId === null || coverId === id)
    },
    cuttings: row => {
      const { coverIds } = (row.values as { readonly plan: CuttingBody }).plan
      return coverIds.length === 1 && coverIds[0] === id
    },
    rules: () => false,
    makings: row => row.id === id,
    marks: row => row.id === id,
    makes: row => row.values.coverId === id,
  } as const satisfies Record<string, (row: ArchiveRow) => boolean>
  return (kind, row) => isWanted[kind](row)
}

function plain(name: string | undefined): string {
  return (name ?? '').trim().toLowerCase()
}

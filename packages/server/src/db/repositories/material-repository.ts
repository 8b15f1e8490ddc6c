import type { MaterialBody, MaterialRow } from '@snowdrift/core'
import type { RowRepository, Written } from './row-repository.js'
import type { StashRepository } from './stash-repository.js'

/** The rows of the stash, each change of which leaves a line of history. */
export function withHistory(
  rows: RowRepository<MaterialRow, MaterialBody>,
  { note }: Pick<StashRepository, 'note'>,
): RowRepository<MaterialRow, MaterialBody> {
  const noteWritten = async (
    workshop: string,
    what: 'changed' | 'deleted',
    written: Written<MaterialRow>,
  ) => {
    if (written.kind === 'written') await note(workshop, written.row.id, what, written.row.material.name)
    return written
  }
  return {
    ...rows,
    create: async (workshop, body) => {
      const row = await rows.create(workshop, body)
      await note(workshop, row.id, 'added', row.material.name)
      return row
    },
    update: async (workshop, id, version, body) =>
      noteWritten(workshop, 'changed', await rows.update(workshop, id, version, body)),
    remove: async (workshop, id, version) =>
      noteWritten(workshop, 'deleted', await rows.remove(workshop, id, version)),
    restore: async (workshop, id) => {
      const row = await rows.restore(workshop, id)
      if (row) await note(workshop, id, 'restored', row.material.name)
      return row
    },
  }
}

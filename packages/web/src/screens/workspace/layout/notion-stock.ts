import {
  mm,
  readLength,
  type MaterialRow,
  type NotionStock,
  type StashNotionKind,
  type StashPieceRow,
} from '@snowdrift/core'

/** What the stash has free of one kind of notion; a length that no longer reads counts as none. */
export function stockOf(
  kind: StashNotionKind,
  materials: readonly MaterialRow[],
  pieces: readonly StashPieceRow[],
): readonly NotionStock[] {
  return materials
    .filter(row => row.stock.notion === kind)
    .flatMap(row =>
      pieces
        .filter(({ materialId, state }) => materialId === row.id && state === 'free')
        .map(({ count, length }): NotionStock => {
          const read =
            length === null ? undefined : readLength(length, row.unit, { min: mm(1), max: mm(100_000) })
          return { count, ...(read?.ok && { length: read.length }) }
        }),
    )
}

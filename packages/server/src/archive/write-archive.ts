import {
  archiveFormat,
  archiveKinds,
  archiveVersion,
  bodyOf,
  settingFields,
  type ArchiveKind,
  type ArchiveManifest,
  type CoverBody,
  type MakeBody,
} from '@snowdrift/core'
import type { ArchiveRow } from '../db/repositories/archive-repository.js'
import type { Repositories } from '../db/repositories/repositories.js'
import { fileOf, manifestFile, settingsFile } from './file-names.js'
import type { FileToZip } from './zip.js'

const rowsAtOnce = 200

/** Which rows go out; all of them where nothing is said. */
export type Wanted = (kind: ArchiveKind, row: ArchiveRow) => boolean

interface Chosen {
  readonly wanted?: Wanted | undefined
  /** Told the share of the rows that is looked through; may throw to give up. */
  readonly tell?: (part: number) => Promise<void>
}

/**
 * The files of a workshop’s archive, page by page. Belongs into a snapshot, so that rows that name each other fit
 * together. What was deleted is left out, and with it that others name it.
 */
export async function* filesOf(
  repositories: Repositories,
  workshop: string,
  now: Date,
  { wanted, tell }: Chosen = {},
): AsyncGenerator<FileToZip> {
  const { archive, settings, pictures } = repositories
  const manifest: ArchiveManifest = {
    format: archiveFormat,
    version: archiveVersion,
    written: now.toISOString(),
  }
  yield json(manifestFile, manifest)
  if (!wanted) yield json(settingsFile, bodyOf(settingFields, await settings.find(workshop)))
  const isHere = async (kind: ArchiveKind, id: string) =>
    (await archive.standings(kind, workshop, [id])).get(id)?.kind === 'here'
  const rows = tell ? await archive.count(workshop) : 0
  let seen = 0
  for (const kind of archiveKinds)
    for await (const row of rowsOf(repositories, kind, workshop)) {
      await tell?.(++seen / rows)
      if (wanted && !wanted(kind, row)) continue
      yield json(fileOf(kind, row.id), await withoutGone(kind, row, isHere))
      if (kind === 'makes') yield* photosOf(repositories, workshop, row)
      if (kind !== 'materials') continue
      yield json(fileOf('history', row.id), await archive.history(workshop, row.id))
      const bytes = await pictures.find(workshop, row.id)
      if (bytes) yield { name: fileOf('pictures', row.id), bytes, isPacked: true }
    }
}

/** The photos that a log shows. */
async function* photosOf(
  { photos }: Repositories,
  workshop: string,
  { values }: ArchiveRow,
): AsyncGenerator<FileToZip> {
  for (const { id } of (values as unknown as MakeBody).log.photos) {
    const bytes = await photos.find(workshop, id)
    if (bytes) yield { name: fileOf('photos', id), bytes, isPacked: true }
  }
}

/** Every row of a kind, the oldest first. */
export async function* rowsOf(
  { archive }: Repositories,
  kind: ArchiveKind,
  workshop: string,
): AsyncGenerator<ArchiveRow> {
  let after: string | undefined
  do {
    const page = await archive.list(kind, workshop, {
      limit: rowsAtOnce,
      ...(after !== undefined && { after }),
    })
    yield* page.items
    after = page.next ?? undefined
  } while (after !== undefined)
}

type IsHere = (kind: ArchiveKind, id: string) => Promise<boolean>

/** A cover stands on its own where its thing was deleted; a piece that was kept for a deleted cover is free. */
async function withoutGone(
  kind: ArchiveKind,
  { values }: ArchiveRow,
  isHere: IsHere,
): Promise<ArchiveRow['values']> {
  if (kind === 'covers') {
    const { thingId } = values as unknown as CoverBody
    return thingId === null || (await isHere('things', thingId)) ? values : { ...values, thingId: null }
  }
  if (kind === 'makes') {
    const { coverId } = values as unknown as MakeBody
    return coverId === null || (await isHere('covers', coverId)) ? values : { ...values, coverId: null }
  }
  if (kind !== 'pieces') return values
  const { coverId, state } = values as { readonly coverId: string | null; readonly state: string }
  if (coverId === null || (await isHere('covers', coverId))) return values
  return { ...values, coverId: null, state: state === 'reserved' ? 'free' : state }
}

function json(name: string, value: object): FileToZip {
  return { name, bytes: Buffer.from(JSON.stringify(value, null, 1)) }
}

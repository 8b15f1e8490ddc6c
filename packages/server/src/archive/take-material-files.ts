import { check, stashEventRow } from '@snowdrift/core'
import { z } from 'zod'
import type { ArchiveRow } from '../db/repositories/archive-repository.js'
import { fileOf } from './file-names.js'
import { bytesOf, jsonOf, type Work } from './work.js'

/** Takes the pictures of materials that came in before. */
export async function takePictures(work: Work): Promise<void> {
  for (const id of work.archive.idsOf('pictures')) {
    await takePicture(work, id)
    await work.done()
  }
}

async function takePicture(work: Work, id: string): Promise<void> {
  const { repositories, workshop, choice, shrinker, tally, renamed, units, write } = work
  const name = fileOf('pictures', id)
  const materialId = renamed.get(id) ?? id
  if (!units.has(id))
    return tally.refuse(name, [{ path: '', message: 'Its material is not in the archive.' }])
  const bytes = await bytesOf(work, name)
  if (!bytes) return
  const stands = await repositories.pictures.find(workshop, materialId)
  if (stands?.equals(bytes)) return tally.count('pictures', 'same')
  if (stands && choice === 'keep') return tally.count('pictures', 'kept')
  const shrunk = await shrinker.shrink(bytes)
  if (shrunk.kind !== 'picture') return tally.refuse(name, [{ path: '', message: shrunk.detail }])
  await write(() => repositories.pictures.put(workshop, materialId, shrunk.bytes))
  tally.count('pictures', stands ? 'changed' : 'added')
}

/** Takes the photos of makes that came in before; those that no log shows are refused. */
export async function takePhotos(work: Work): Promise<void> {
  for (const id of work.archive.idsOf('photos')) {
    await takePhoto(work, id)
    await work.done()
  }
}

async function takePhoto(work: Work, id: string): Promise<void> {
  const { repositories, workshop, choice, shrinker, tally, photosOf, write } = work
  const name = fileOf('photos', id)
  const makeId = photosOf.get(id)
  if (makeId === undefined)
    return tally.refuse(name, [{ path: '', message: 'No make in the archive shows it.' }])
  const bytes = await bytesOf(work, name)
  if (!bytes) return
  const stands = await repositories.photos.find(workshop, id)
  if (stands?.equals(bytes)) return tally.count('photos', 'same')
  if (stands && choice === 'keep') return tally.count('photos', 'kept')
  const shrunk = await shrinker.shrink(bytes)
  if (shrunk.kind !== 'picture') return tally.refuse(name, [{ path: '', message: shrunk.detail }])
  await write(() => repositories.photos.put(workshop, makeId, id, shrunk.bytes))
  tally.count('photos', stands ? 'changed' : 'added')
}

const histories = z.array(stashEventRow).max(10_000)

/** What became of materials that are new here. */
export async function takeHistories(work: Work, fresh: readonly ArchiveRow[]): Promise<void> {
  const { archive, repositories, workshop, tally, renamed, done, write } = work
  const isFresh = new Set(fresh.map(({ id }) => id))
  for (const id of archive.idsOf('history')) {
    const materialId = renamed.get(id) ?? id
    if (!isFresh.has(materialId)) continue
    const name = fileOf('history', id)
    const said = await jsonOf(work, name)
    await done()
    if (said === undefined) continue
    const read = check(histories, said)
    if (read.ok) await write(() => repositories.archive.addHistory(workshop, materialId, read.value))
    else tally.refuse(name, read.issues)
  }
}

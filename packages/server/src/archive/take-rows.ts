import type { ArchiveKind, MakeBody, Unit } from '@snowdrift/core'
import { isDeepStrictEqual } from 'node:util'
import type { ArchiveRow, Standing } from '../db/repositories/archive-repository.js'
import { fileOf } from './file-names.js'
import { readRow } from './read-row.js'
import { ownId, referencesOf, withIds } from './references.js'
import { takeHistories } from './take-material-files.js'
import { jsonOf, type Work } from './work.js'

/** Takes rows of one kind, by their ids in the archive. */
export async function takeRows(work: Work, kind: ArchiveKind, ids: readonly string[]): Promise<void> {
  const { workshop, tally, renamed, repositories } = work
  const read: ArchiveRow[] = []
  for (const id of ids) {
    const row = await readOne(work, kind, id)
    if (row) read.push(row)
  }
  const foreign = await repositories.archive.standings(kind, workshop, ids)
  for (const [id, { kind: stands }] of foreign) if (stands === 'foreign') renamed.set(id, ownId(workshop, id))
  const rows = read.map(row => withIds(kind, row, (_, id) => renamed.get(id) ?? id))
  if (kind === 'makes') notePhotos(work, rows)
  const standings = await standingsOf(work, kind, rows)
  const fresh: ArchiveRow[] = []
  for (const [index, row] of rows.entries()) {
    const name = fileOf(kind, read[index]?.id ?? row.id)
    const lacking = await lackingOf(work, kind, read[index] ?? row)
    if (lacking) tally.refuse(name, [lacking])
    else if (!standings.has(row.id)) fresh.push(row)
    else await takeKnown(work, kind, row, standings.get(row.id))
  }
  await work.write(() => repositories.archive.insert(kind, workshop, fresh))
  tally.count(kind, 'added', fresh.length)
  if (kind === 'materials') await takeHistories(work, fresh)
}

/** Which make shows a photo is known before the photos come. */
function notePhotos({ photosOf }: Work, makes: readonly ArchiveRow[]): void {
  for (const { id, values } of makes)
    for (const photo of (values as unknown as MakeBody).log.photos) photosOf.set(photo.id, id)
}

/** A row that stands here, or was deleted here: what was deleted comes back. */
async function takeKnown(
  { repositories, workshop, choice, tally, write }: Work,
  kind: ArchiveKind,
  row: ArchiveRow,
  standing: Standing | undefined,
): Promise<void> {
  const { archive, stash } = repositories
  if (standing?.kind !== 'here') {
    await write(() => archive.overwrite(kind, workshop, row))
    return tally.count(kind, 'added')
  }
  if (isDeepStrictEqual(standing.values, { ...standing.values, ...row.values }))
    return tally.count(kind, 'same')
  tally.differs(nameOf(kind, row))
  tally.count(kind, choice === 'take' ? 'changed' : 'kept')
  if (choice === 'keep') return
  await write(() => archive.overwrite(kind, workshop, { ...row, id: standing.id }))
  if (kind === 'materials')
    await write(() =>
      stash.note(workshop, [{ materialId: row.id, what: 'changed', detail: nameOf(kind, row) }]),
    )
}

/** What stands under the ids of the rows. A rule stands here, too, where one of its name does. */
async function standingsOf(
  { repositories, workshop }: Work,
  kind: ArchiveKind,
  rows: readonly ArchiveRow[],
): Promise<ReadonlyMap<string, Standing>> {
  const ids = rows.map(({ id }) => id)
  const byId = await repositories.archive.standings(kind, workshop, ids)
  if (kind !== 'rules') return byId
  const here = new Map<string, Standing>()
  const { items } = await repositories.archive.list(kind, workshop, { limit: 5000 })
  for (const { id, values } of items) here.set(ruleName(values), { kind: 'here', id, values })
  return new Map(
    rows.flatMap(row => {
      const standing = here.get(ruleName(row.values)) ?? byId.get(row.id)
      return standing ? [[row.id, standing] as const] : []
    }),
  )
}

async function readOne(work: Work, kind: ArchiveKind, id: string): Promise<ArchiveRow | undefined> {
  const { tally, units, ruleNames, done } = work
  const name = fileOf(kind, id)
  const said = await jsonOf(work, name)
  await done()
  if (said === undefined) return undefined
  const read = readRow(kind, said, { unitOf: material => units.get(material) })
  if (!read.ok) {
    tally.refuse(name, read.issues)
    return undefined
  }
  if (kind === 'materials') units.set(id, read.value.unit as Unit)
  if (kind !== 'rules') return { id, values: read.value }
  if (ruleNames.has(ruleName(read.value))) {
    tally.refuse(name, [
      { path: 'name', message: 'There are two rules of this name for this way of making.' },
    ])
    return undefined
  }
  ruleNames.add(ruleName(read.value))
  return { id, values: read.value }
}

/** What a row names that is neither in the archive nor here. */
async function lackingOf({ archive, repositories, workshop }: Work, kind: ArchiveKind, row: ArchiveRow) {
  for (const { kind: of, id, path } of referencesOf(kind, row)) {
    if (archive.has(fileOf(of, id))) continue
    const standing = (await repositories.archive.standings(of, workshop, [id])).get(id)
    if (!standing || standing.kind === 'foreign')
      return { path, message: `It names ${fileOf(of, id)}, which is neither in the archive nor here.` }
  }
  return undefined
}

function nameOf(kind: ArchiveKind, { values }: ArchiveRow): string {
  const { name, file, material, log } = values as {
    readonly log?: { readonly name?: string }
    readonly name?: string
    readonly file?: { readonly name?: string }
    readonly material?: { readonly name?: string }
  }
  return name ?? file?.name ?? material?.name ?? log?.name ?? kind
}

/** No way of making has two rules of one name, whatever its capitals. */
function ruleName({ family, name }: ArchiveRow['values']): string {
  return `${String(family)} ${String(name).toLowerCase()}`
}

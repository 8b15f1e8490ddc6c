import {
  archiveKinds,
  bodyOf,
  initialSettings,
  readSettingsBody,
  settingFields,
  type ArchiveReport,
} from '@snowdrift/core'
import { isDeepStrictEqual } from 'node:util'
import type { Repositories } from '../db/repositories/repositories.js'
import { settingsFile } from './file-names.js'
import { takePhotos, takePictures } from './take-material-files.js'
import { takeRows } from './take-rows.js'
import { createTally } from './tally.js'
import { jsonOf, type TakeInOptions, type Work } from './work.js'

const rowsAtOnce = 200

/**
 * Takes an archive into a workshop and says what that came to. Belongs into a transaction, which is given up where the
 * report refuses anything, or where only the report was wanted. Holds a few hundred rows at a time.
 */
export async function takeIn(repositories: Repositories, options: TakeInOptions): Promise<ArchiveReport> {
  let files = 0
  const tally = createTally()
  const done = () => options.tell(++files / options.archive.size)
  const work: Work = {
    ...options,
    repositories,
    tally,
    renamed: new Map(),
    units: new Map(),
    ruleNames: new Set(),
    photosOf: new Map(),
    write: async step => {
      if (tally.isClean()) await step()
    },
    done,
  }
  await repositories.hold(options.workshop)
  await takeSettings(work)
  for (const kind of archiveKinds) {
    const ids = work.archive.idsOf(kind)
    for (let from = 0; from < ids.length; from += rowsAtOnce)
      await takeRows(work, kind, ids.slice(from, from + rowsAtOnce))
    if (kind === 'materials') await takePictures(work)
    if (kind === 'makes') await takePhotos(work)
  }
  return tally.report()
}

async function takeSettings(work: Work): Promise<void> {
  const { archive, repositories, workshop, choice, tally, write, done } = work
  if (!archive.has(settingsFile)) return
  const said = await jsonOf(work, settingsFile)
  await done()
  if (said === undefined) return
  // what an archive of before does not know is as usual
  const read = readSettingsBody(typeof said === 'object' ? { ...initialSettings(), ...said } : said)
  if (!read.ok) return tally.refuse(settingsFile, read.issues)
  const stands = await repositories.settings.find(workshop)
  if (isDeepStrictEqual(bodyOf(settingFields, stands), read.value)) return tally.count('settings', 'same')
  tally.count('settings', choice === 'take' ? 'changed' : 'kept')
  if (choice === 'take') await write(() => repositories.settings.update(workshop, stands.version, read.value))
}

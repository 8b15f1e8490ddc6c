import type { ArchiveReport } from '@snowdrift/core'
import { createWriteStream } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { openArchive } from '../archive/open-archive.js'
import { takeIn } from '../archive/take-in.js'
import type { ArchiveBrought } from '../db/models/models.js'
import type { ErrandRun } from '../db/repositories/errand-repository.js'
import { CalledOff, Refused, type ErrandHand } from './errand-hand.js'

/**
 * Takes an archive that was brought into its workshop: all of it or nothing. That it is done is noted in the same
 * transaction, so whoever begins anew where a process was killed takes nothing twice.
 */
export async function takeArchiveIn(
  run: ErrandRun,
  { choice, keeps }: ArchiveBrought,
  { repositories, shrinker, workshop, path, tell }: ErrandHand,
): Promise<void> {
  await pipeline(Readable.from(run.brought()), createWriteStream(path, { mode: 0o600 }))
  const opened = await openArchive(path)
  if (!opened.ok) throw new Refused(opened.issues.map(({ message }) => message).join(' '))
  const archive = opened.value
  try {
    await repositories.together(async inside => {
      const report = await takeIn(inside, { archive, workshop, choice, shrinker, tell })
      if (!keeps || report.refused.length > 0) throw new NotKept(report)
      if (!(await inside.errands.end(run, { archive: { report, taken: true } }))) throw new CalledOff()
    })
  } catch (error) {
    if (!(error instanceof NotKept)) throw error
    await repositories.errands.end(run, { archive: { report: error.report, taken: false } })
  } finally {
    archive.close()
  }
}

/** Thrown to take a transaction back; never leaves this file. */
class NotKept extends Error {
  constructor(readonly report: ArchiveReport) {
    super('not kept')
  }
}

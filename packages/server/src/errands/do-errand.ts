import type { ErrandRequest } from '@snowdrift/core'
import { createReadStream } from 'node:fs'
import { stat } from 'node:fs/promises'
import type { ErrandRun } from '../db/repositories/errand-repository.js'
import { isUnknownReference } from '../http/database-errors.js'
import { failureOf } from '../http/news.js'
import { detailOf } from '../http/problems.js'
import { withTemporaryFile } from '../http/to-file.js'
import type { Log } from '../log.js'
import { Refused, type ErrandHand, type ErrandTools, type WrittenFile } from './errand-hand.js'
import { writeArchiveFile } from './write-archive-file.js'
import { writeSheets } from './write-sheets.js'

/** What of the whole is writing; the rest is laying it up. */
const writingShare = 0.9
const partBytes = 1024 * 1024
const sayEveryMs = 250

/**
 * Does an errand from its beginning to its end, and keeps what it wrote for whoever asked. One that was called off is left
 * at its next step. What cannot be done is said to whoever asked; throws where it is to be tried again.
 */
export async function doErrand(id: string, tools: ErrandTools, signal: AbortSignal): Promise<void> {
  const run = await tools.repositories.errands.begin(id)
  if (!run) return
  const tell = teller(run, tools.now, signal)
  try {
    await withTemporaryFile(async path => {
      const hand = { ...tools, workshop: run.workshop, path }
      const file = await writeFor(run.asked, { ...hand, tell: part => tell(part * writingShare) })
      const { size } = await stat(path)
      let kept = 0
      for await (const bytes of createReadStream(path, { highWaterMark: partBytes })) {
        await run.addPart(bytes as Buffer)
        kept += (bytes as Buffer).length
        await tell(writingShare + ((1 - writingShare) * kept) / size)
      }
      await run.end({ file: { ...file, bytes: size } })
    })
  } catch (error) {
    await failed(run, error, tools.log)
  }
}

async function failed(run: ErrandRun, error: unknown, log: Log): Promise<void> {
  // Where it is no longer there, what it wrote has no place either.
  if (error instanceof CalledOff || isUnknownReference(error)) return
  if (error instanceof Refused) return run.end({ why: error.message })
  if (error instanceof Interrupted) {
    await run.leave()
    throw error
  }
  log.error({ error: String(error) }, 'an errand failed')
  // Where not even this can be kept, it is tried again.
  await run.end({ why: detailOf(failureOf(error, { wrote: false })) })
}

function writeFor(asked: ErrandRequest, hand: ErrandHand): Promise<WrittenFile> {
  switch (asked.kind) {
    case 'archive':
      return writeArchiveFile(asked, hand)
    case 'sheets':
      return writeSheets(asked, hand)
  }
}

/** Says how far an errand is now and then, and hears whether it was called off. */
function teller(run: ErrandRun, now: () => Date, signal: AbortSignal): ErrandHand['tell'] {
  let said = now().getTime()
  return async part => {
    if (signal.aborted) throw new Interrupted()
    if (now().getTime() - said < sayEveryMs) return
    said = now().getTime()
    if (!(await run.tell(part))) throw new CalledOff()
  }
}

/** Nobody wants it any more, or another does it. */
class CalledOff extends Error {}

/** The process ends. */
class Interrupted extends Error {}

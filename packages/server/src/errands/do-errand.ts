import type { ErrandRequest } from '@snowdrift/core'
import { createReadStream } from 'node:fs'
import { stat } from 'node:fs/promises'
import type { ErrandRun } from '../db/repositories/errand-repository.js'
import { isUnknownReference } from '../http/database-errors.js'
import { failureOf } from '../http/news.js'
import { detailOf } from '../http/problems.js'
import { withTemporaryFile } from '../http/to-file.js'
import {
  CalledOff,
  errandPartBytes,
  Refused,
  type ErrandHand,
  type ErrandTools,
  type WrittenFile,
} from './errand-hand.js'
import { takeArchiveIn } from './take-archive-in.js'
import { writeArchiveFile } from './write-archive-file.js'
import { writeSheets } from './write-sheets.js'

/** What of the whole is writing; the rest is laying it up. */
const writingShare = 0.9
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
      const { asked, workshop } = run
      const hand = { ...tools, workshop, path, tell }
      await (asked.kind === 'archive-in' ? takeArchiveIn(run, asked, hand) : writeFile(run, asked, hand))
    })
  } catch (error) {
    await failed(run, error, tools)
  }
}

async function writeFile(run: ErrandRun, asked: ErrandRequest, hand: ErrandHand): Promise<void> {
  const { path, tell } = hand
  const file = await writeFor(asked, { ...hand, tell: part => tell(part * writingShare) })
  const { size } = await stat(path)
  let kept = 0
  for await (const bytes of createReadStream(path, { highWaterMark: errandPartBytes })) {
    await run.addPart(bytes as Buffer)
    kept += (bytes as Buffer).length
    await tell(writingShare + ((1 - writingShare) * kept) / size)
  }
  await hand.repositories.errands.end(run, { file: { ...file, bytes: size } })
}

async function failed(run: ErrandRun, error: unknown, { repositories, log }: ErrandTools): Promise<void> {
  const end = (why: string) => repositories.errands.end(run, { why })
  // Where it is no longer there, what it wrote has no place either.
  if (error instanceof CalledOff || isUnknownReference(error)) return
  if (error instanceof Refused) {
    await end(error.message)
    return
  }
  if (error instanceof Interrupted) {
    await run.leave()
    throw error
  }
  log.error({ error: String(error) }, 'an errand failed')
  // Where not even this can be kept, it is tried again.
  await end(detailOf(failureOf(error, { wrote: run.asked.kind === 'archive-in' })))
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

/** The process ends. */
class Interrupted extends Error {}

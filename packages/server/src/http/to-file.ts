import type { Context } from 'hono'
import { createWriteStream } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'

/** Gives `work` the path of a file that is not there yet, in a folder that is gone when it is done. */
export async function withTemporaryFile<Result>(work: (path: string) => Promise<Result>): Promise<Result> {
  const folder = await mkdtemp(join(tmpdir(), 'snowdrift-'))
  try {
    return await work(join(folder, 'archive.zip'))
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

/** Writes a body to a file as it comes; false once it is over so many bytes. */
export async function bodyToFile(context: Context, path: string, most: number): Promise<boolean> {
  let isTooLarge = false
  const { body } = context.req.raw
  async function* bounded() {
    let bytes = 0
    for await (const part of body ?? []) {
      bytes += part.length
      if (bytes > most) {
        isTooLarge = true
        return
      }
      yield part
    }
  }
  await pipeline(Readable.from(bounded()), createWriteStream(path, { mode: 0o600 }))
  return !isTooLarge
}

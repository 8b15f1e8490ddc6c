import type { ErrandRequest } from '@snowdrift/core'
import { createWriteStream } from 'node:fs'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { coverWith } from '../archive/cover-with.js'
import { filesOf } from '../archive/write-archive.js'
import { zipOf } from '../archive/zip.js'
import { Refused, type ErrandHand, type WrittenFile } from './errand-hand.js'

/** A workshop as one archive, or a cover with what of the stash it is made of. */
export async function writeArchiveFile(
  { cover: id }: Extract<ErrandRequest, { kind: 'archive' }>,
  { repositories, aged, workshop, path, tell, now }: ErrandHand,
): Promise<WrittenFile> {
  // Of one cover everything is to be in it that was done to it just now.
  await (id === undefined ? aged : repositories).snapshot(async inside => {
    const cover = id === undefined ? undefined : await inside.covers.find(workshop, id)
    if (id !== undefined && !cover) throw new Refused('This cover is not on the shelf any more.')
    const wanted = cover && (await coverWith(inside, workshop, cover))
    const files = filesOf(inside, workshop, now(), { wanted, tell })
    await pipeline(Readable.from(zipOf(files)), createWriteStream(path, { mode: 0o600 }))
  })
  return { name: `${id === undefined ? 'workshop' : 'cover'}.snowdrift.zip`, type: 'application/zip' }
}

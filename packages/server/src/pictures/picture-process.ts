import sharp, { type Metadata } from 'sharp'

/** A process of its own: whatever a picture does to it, the server goes on. Takes `{ id, bytes }`, answers `{ id, bytes? }`. */

/** Enough for a piece of cloth in a picture as large as a screen. */
const side = 800
/** A photograph with more pixels than that is refused before it is unpacked. */
const mostPixels = 50_000_000
const mostMemoryBytes = 700 * 1024 * 1024

// Only the readers of the three kinds that are taken; none of those that run programs of a picture’s own.
sharp.block({ operation: ['VipsForeignLoad'] })
sharp.unblock({
  operation: ['VipsForeignLoadPngBuffer', 'VipsForeignLoadJpegBuffer', 'VipsForeignLoadWebpBuffer'],
})
sharp.cache(false)
sharp.concurrency(1)

interface Task {
  readonly id: number
  readonly bytes: Uint8Array
}

process.on('message', (task: Task) => {
  void shrink(task.bytes).then(bytes => process.send?.({ id: task.id, bytes }))
})
process.on('disconnect', () => process.exit(0))
setInterval(() => {
  if (process.memoryUsage.rss() > mostMemoryBytes) process.exit(1)
}, 50)

/**
 * Turned as its tag says and made small, as WebP, with nothing in it but the picture; undefined for what is none. One that is
 * so already, such as comes back in an archive, is not written anew: it would lose a little each time.
 */
async function shrink(bytes: Uint8Array): Promise<Buffer | undefined> {
  try {
    const picture = sharp(bytes, {
      limitInputPixels: mostPixels,
      failOn: 'error',
      sequentialRead: true,
      pages: 1,
    })
    if (isSmall(await picture.metadata())) {
      await picture.stats()
      return Buffer.from(bytes)
    }
    return await picture
      .autoOrient()
      .resize(side, side, { fit: 'inside', withoutEnlargement: true })
      .webp({ quality: 80 })
      .toBuffer()
  } catch {
    return undefined
  }
}

function isSmall({ format, width, height, pages, exif, icc, xmp, iptc, comments }: Metadata): boolean {
  const hasMore = [exif, icc, xmp, iptc, comments].some(Boolean) || (pages ?? 1) > 1
  return format === 'webp' && Math.max(width, height) <= side && !hasMore
}

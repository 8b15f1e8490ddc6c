import sharp from 'sharp'

/** A swatch on screen is no larger. */
const side = 320
/** A photograph with more pixels than that is refused before it is unpacked. */
const mostPixels = 50_000_000

/** A picture cut to a square and made small, as WebP, with nothing in it but the picture; undefined for what is none. */
export async function resizePicture(bytes: Buffer): Promise<Buffer | undefined> {
  try {
    return await sharp(bytes, { limitInputPixels: mostPixels, failOn: 'error' })
      .rotate()
      .resize(side, side, { fit: 'cover' })
      .webp({ quality: 80 })
      .toBuffer()
  } catch {
    return undefined
  }
}

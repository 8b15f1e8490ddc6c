export type PictureType = 'png' | 'jpeg' | 'webp'

/** What a picture is by its first bytes, whatever it is called; undefined for anything but PNG, JPEG and WebP. */
export function pictureTypeOf(bytes: Buffer): PictureType | undefined {
  if (bytes.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]))) return 'png'
  if (bytes.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff]))) return 'jpeg'
  const [riff, webp] = [bytes.toString('latin1', 0, 4), bytes.toString('latin1', 8, 12)]
  return riff === 'RIFF' && webp === 'WEBP' ? 'webp' : undefined
}

import type { ClothLook } from '../../views/cloth/look'

/** After how many millimetres a cloth comes again, both ways. */
export function repeatOf({ photo, repeatMm, acrossMm }: Pick<ClothLook, 'photo' | 'repeatMm' | 'acrossMm'>) {
  return photo
    ? { width: photo.tile.width, height: photo.tile.height }
    : { width: acrossMm, height: repeatMm }
}

/** The finest that a texture is drawn: so many pixels to the millimetre, but never more than this across. */
const pixelsPerMm = 8
const mostPixels = 1024
const leastPixels = 64

/** How large the texture of a repeat is, in pixels. */
export function textureSize({ width, height }: { readonly width: number; readonly height: number }) {
  const scale = Math.min(pixelsPerMm, mostPixels / Math.max(width, height))
  const pixels = (millimetres: number) => Math.max(leastPixels, Math.round(millimetres * scale))
  return { width: pixels(width), height: pixels(height) }
}

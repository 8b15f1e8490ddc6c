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

/** A place of a cloth: millimetres from its left selvedge, and from its beginning. */
export type PrintCorner = readonly [x: number, y: number]

/**
 * Where a place of a leaf, in parts of it from its lower left corner, lies in the picture of a repeat, which begins at its
 * foot while a cloth begins at the top. With `corner` at the upper left of the leaf; without, its foot begins a repeat.
 */
export function inRepeats(
  [x, y]: readonly [number, number],
  [wide, high]: readonly [number, number],
  repeat: { readonly width: number; readonly height: number },
  corner?: PrintCorner,
): readonly [number, number] {
  const [across, along] = corner ?? [0, -high]
  return [(x * wide + across) / repeat.width, (y * high - high - along) / repeat.height]
}

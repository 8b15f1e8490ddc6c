import {
  mm,
  readLength,
  scaledPhotoOf,
  toMm,
  type MaterialRow,
  type ScaledPhoto,
  type Weave,
} from '@snowdrift/core'

/** How a cloth looks from its right side, at true scale. */
export interface ClothLook {
  /** The same for the same look. */
  readonly key: string
  readonly colour: string
  readonly weave: Weave
  /** How often the weave or print comes again, both ways. */
  readonly repeatMm: number
  readonly photo: (ScaledPhoto & { readonly href: string }) | undefined
}

/** How often a print comes again where the stash does not say it. */
export const usualRepeatMm: Readonly<Record<Weave, number>> = {
  plain: 2,
  twill: 3,
  stripes: 10,
  checks: 20,
  dots: 12,
  sprigs: 25,
  stars: 25,
}

/** The look of a material of the stash: its picture once that has a scale, else its weave in its colour. */
export function lookOf(row: MaterialRow): ClothLook {
  const { id, version, swatch, stock, unit, picture } = row
  const weave = stock.weave ?? 'plain'
  const read = stock.repeat === undefined ? undefined : readLength(stock.repeat, unit, anyRepeat)
  const photo = scaledPhotoOf(row, unit)
  return {
    key: `${id}-${version}`,
    colour: swatch,
    weave,
    repeatMm: read?.ok ? toMm(read.length) : usualRepeatMm[weave],
    photo: photo && { ...photo, href: pictureOf(id, picture) },
  }
}

const anyRepeat = { min: mm(1), max: mm(100_000) }

/** Where a picture of a material is; each new one has an address of its own. */
export function pictureOf(id: string, picture: number): string {
  return `/api/materials/${id}/picture?v=${picture}`
}

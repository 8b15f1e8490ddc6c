import {
  mm,
  readLength,
  scaledPhotoOf,
  toMm,
  type MaterialRow,
  type ScaledPhoto,
  type Stock,
  type Unit,
  type Weave,
} from '@snowdrift/core'

/** How a cloth looks from its right side, at true scale. */
export interface ClothLook {
  /** The same for the same look. */
  readonly key: string
  readonly colour: string
  readonly weave: Weave
  /** How often the weave or print comes again along the cloth. */
  readonly repeatMm: number
  /** The same across it. */
  readonly acrossMm: number
  /** Where the cloth begins in the picture, in millimetres; anywhere where that is not known. */
  readonly from?: readonly [x: number, y: number]
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
  const { along, across } = repeatOfStock(stock, unit)
  const repeatMm = along === undefined ? usualRepeatMm[weave] : toMm(along)
  const photo = scaledPhotoOf(row, unit)
  return {
    key: `${id}-${version}`,
    colour: swatch,
    weave,
    repeatMm,
    acrossMm: across === undefined ? repeatMm : toMm(across),
    photo: photo && { ...photo, href: pictureOf(id, picture) },
  }
}

/** How often the print comes again, as far as the stash says it. */
export function repeatOfStock({ repeat, repeatAcross }: Stock, unit: Unit) {
  const read = (typed: string | number | undefined) => {
    const length = typed === undefined ? undefined : readLength(typed, unit, anyRepeat)
    return length?.ok ? length.length : undefined
  }
  return { along: read(repeat), across: read(repeatAcross) }
}

const anyRepeat = { min: mm(1), max: mm(100_000) }

/** Where a picture of a material is; each new one has an address of its own. */
export function pictureOf(id: string, picture: number): string {
  return `/api/materials/${id}/picture?v=${picture}`
}

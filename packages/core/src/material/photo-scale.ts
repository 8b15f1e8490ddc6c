import { toMm, zero, type Length } from '../length/length.js'

/** A place on a photograph, both ways as a share of its width: x 0 to 1, y 0 to its height over its width. */
export type PhotoPoint = readonly [x: number, y: number]

/** How a photograph of cloth is read: two marks a known length apart, turned upright, its edges cropped away. */
export interface PhotoReading {
  /** Height over width. */
  readonly ratio: number
  readonly marks: readonly [PhotoPoint, PhotoPoint]
  readonly apart: Length
  /** Degrees clockwise that turn the cloth upright. */
  readonly turn: number
  /** What is left out of it once it is upright, as shares of its sides. */
  readonly crop: PhotoCrop
}

export interface PhotoCrop {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

/** A photograph at true scale, in millimetres. */
export interface ScaledPhoto {
  readonly width: number
  readonly height: number
  readonly turn: number
  /** What is shown of it, upright, measured from the middle of the photograph; it comes again side by side. */
  readonly tile: {
    readonly x: number
    readonly y: number
    readonly width: number
    readonly height: number
  }
}

/** Marks nearer than that, as a share of the width, stand on one spot: their distance tells no scale. */
export const nearestMarks = 0.02

/**
 * The true size of a photograph, from its marks. Turned by a little, it is cropped to the largest upright rectangle of
 * its shape that the photograph fills. Undefined where the marks stand on one spot, or the crop leaves nothing.
 */
export function scalePhoto({ ratio, marks, apart, turn, crop }: PhotoReading): ScaledPhoto | undefined {
  const [one, other] = marks
  const between = Math.hypot(one[0] - other[0], one[1] - other[1])
  if (between < nearestMarks || apart <= zero) return undefined
  const width = toMm(apart) / between
  const height = width * ratio
  const upright = uprightWithin(width, height, turn)
  const tile = {
    x: upright.width * (crop.left - 1 / 2),
    y: upright.height * (crop.top - 1 / 2),
    width: upright.width * (1 - crop.left - crop.right),
    height: upright.height * (1 - crop.top - crop.bottom),
  }
  return tile.width > 0 && tile.height > 0 ? { width, height, turn, tile } : undefined
}

/** Quarter turns swap the sides; of what is turned beyond, the corners of the photograph are lost. */
function uprightWithin(width: number, height: number, turn: number) {
  const quarters = Math.round(turn / 90)
  const [wide, high] = quarters % 2 === 0 ? [width, height] : [height, width]
  const aslant = (Math.abs(turn - 90 * quarters) * Math.PI) / 180
  const [sin, cos] = [Math.sin(aslant), Math.cos(aslant)]
  const share = Math.min(wide / (wide * cos + high * sin), high / (wide * sin + high * cos))
  return { width: wide * share, height: high * share }
}

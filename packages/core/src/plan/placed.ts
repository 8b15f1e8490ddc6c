import type { ExtraPlan } from '../extras/contract.js'
import type { PlaceKey } from '../extras/place-keys.js'
import type { Face, Strip, StripPoint } from '../families/strip.js'
import { subtract, type Length } from '../length/length.js'

/** An extra on its piece, seen from the right side: its lower left corner from that of the piece. */
export interface PlacedExtra {
  /** Which extra, counted from 0. */
  readonly extra: number
  readonly ground: {
    readonly name: string
    readonly width: Length
    readonly height: Length
    readonly face: Face
    /** Absent for a panel that is no piece of its own. */
    readonly piece?: string
  }
  readonly x: Length
  readonly y: Length
  /** Where it lies on the strip. */
  readonly at: StripPoint
  /** Which of the two can be set. */
  readonly moves: readonly ('x' | 'y')[]
  readonly width: Length
  readonly height: Length
}

/** The first footprint that has ground of its own; `heeded` is what moves the extra on this cover. */
export function placesOf(
  { footprints }: ExtraPlan,
  extra: number,
  heeded: readonly PlaceKey[],
): readonly PlacedExtra[] {
  return footprints.slice(0, 1).flatMap(({ at, width, height, face, within: ground }) => {
    if (!ground) return []
    const left = subtract(at[0], ground.at[0])
    return [
      {
        extra,
        ground: {
          name: ground.name,
          width: ground.width,
          height: ground.height,
          face,
          ...(ground.piece !== undefined && { piece: ground.piece }),
        },
        x: ground.mirrored ? subtract(subtract(ground.width, left), width) : left,
        y: subtract(subtract(ground.height, subtract(at[1], ground.at[1])), height),
        at,
        moves: heeded.flatMap(key => (key === 'on' ? [] : [key])),
        width,
        height,
      },
    ]
  })
}

/** The strip with what extras lay on it. */
export function withExtras(strip: Strip, added: readonly (ExtraPlan | undefined)[]): Strip {
  return {
    ...strip,
    lines: [...strip.lines, ...added.flatMap(extra => extra?.lines ?? [])],
    shapes: [...strip.shapes, ...added.flatMap(extra => extra?.shapes ?? [])],
    holes: [...strip.holes, ...added.flatMap(extra => extra?.holes ?? [])],
  }
}

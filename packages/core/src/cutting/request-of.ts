import { add, subtract, zero, type Length } from '../length/length.js'
import { customary, type Unit } from '../length/unit.js'
import type { AvoidedPlace, Cloth, LayoutRequest, Match, Pin } from '../nest/request.js'
import { meets } from '../nest/rooms-around-pins.js'
import type { Cuts } from '../nest/strip/search.js'
import type { CuttingGroup } from './group.js'
import { afterWash, type Washing } from './shrink.js'

/** A piece of cloth that there is, as it lies in the stash. */
export interface SheetToUse {
  readonly id: string
  readonly width: Length
  readonly length: Length
  readonly washed: boolean
  /** Before it is washed, as its sides are. */
  readonly avoid?: readonly AvoidedPlace[]
}

export interface CuttingOptions {
  readonly cuts: Cuts
  readonly unit: Unit
  readonly sheets: readonly SheetToUse[]
  /** The width of cloth to buy; none buys nothing. */
  readonly buyWidth?: Length
  /** The size of sheet to buy, where the material comes in sheets. */
  readonly buySheet?: { readonly width: Length; readonly length: Length }
  readonly pins: Readonly<Record<string, Pin>>
  /** Where the print is to run on. */
  readonly matches?: readonly Match[]
  readonly budgetMs: number
}

/** More sheets than that are never bought for one cutting. */
const mostSheets = 60

/** The id of cloth that is still to be bought. */
export const boughtCloth = 'to buy'

/**
 * What is asked of the search for one material. Cloth that will be washed counts as what the wash leaves of it. Pins on
 * cloth that is not there any more, over an edge by now or over what is to be avoided are let go. Undefined where there
 * is no cloth at all.
 */
export function layoutRequestOf(group: CuttingGroup, options: CuttingOptions): LayoutRequest | undefined {
  const { cuts, unit, sheets, buyWidth, buySheet, pins, matches = [], budgetMs } = options
  const { shrinkage } = group
  const cloths: readonly Cloth[] = [
    ...sheets.map(({ id, width, length, washed, avoid = [] }) => {
      const washedTo = (side: Length) => afterWash(side, { shrinkage, washed })
      return {
        id,
        width: washedTo(width),
        length: washedTo(length),
        count: 1,
        ...(avoid.length > 0 && { avoid: avoid.map(place => placeAfter(place, washedTo)) }),
      }
    }),
    ...(buySheet
      ? [{ id: boughtCloth, width: buySheet.width, length: buySheet.length, count: mostSheets }]
      : []),
    ...(buyWidth ? [{ id: boughtCloth, width: afterWash(buyWidth, group), count: 1 }] : []),
  ]
  if (cloths.length === 0) return undefined
  return {
    cuts,
    gap: cuts === 'rotary' ? zero : customary(1 / 4, unit),
    budgetMs,
    seed: 1,
    cloths,
    ...(matches.length > 0 && { matches }),
    pieces: group.pieces.map(({ id, width, height, turn, turnIfNeeded }) => {
      const pin = pins[id]
      const cloth = pin && cloths.find(candidate => candidate.id === pin.cloth)
      const [wide, high] = pin?.turned ? [height, width] : [width, height]
      const holds =
        cloth !== undefined &&
        pin !== undefined &&
        (!pin.turned || turn === 'quarter' || turnIfNeeded === 'quarter') &&
        pin.x + wide <= cloth.width &&
        pin.y + high <= (cloth.length ?? Infinity) &&
        !(cloth.avoid ?? []).some(place => meets({ ...pin, width: wide, height: high }, place))
      return {
        id,
        width,
        height,
        turn,
        count: 1,
        ...(turnIfNeeded && { turnIfNeeded }),
        ...(holds && { pin }),
      }
    }),
  }
}

/** A place of a cloth as it is once that is washed. */
export function placeAfterWash(place: AvoidedPlace, washing: Washing): AvoidedPlace {
  return placeAfter(place, side => afterWash(side, washing))
}

/** A place draws in with the cloth that it is on. */
function placeAfter({ x, y, width, height }: AvoidedPlace, washedTo: (side: Length) => Length): AvoidedPlace {
  const [left, top] = [washedTo(x), washedTo(y)]
  return {
    x: left,
    y: top,
    width: subtract(washedTo(add(x, width)), left),
    height: subtract(washedTo(add(y, height)), top),
  }
}

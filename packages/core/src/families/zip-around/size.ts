import { finishedFromCut, judgeFit, type Fit } from '../../fit/fit.js'
import { neededOverZipped, neededRoundZipped } from '../../fit/needed.js'
import { slipOnBands } from '../../fit/verdict.js'
import { add, longest, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import { flapStandOff, linedStandOff, standOff } from '../../material/stand-off.js'
import { deriveBoard } from '../../object/derive.js'
import { largestReading } from '../../object/reading.js'
import { because, less, totalOf, twice, type Reason } from '../../piece/reason.js'
import { sideRoundedUp, type Side } from '../../piece/side.js'
import { bookMeasures, thicknessOf, wrapWithPockets } from '../book.js'
import type { Job } from '../contract.js'
import { flapPliesOf } from '../flap-plies.js'
import { byRule, easesOf, outerSides, settleNeed } from '../sized.js'
import type { ResolvedOptions, ZipAroundOptions } from './options.js'

export interface Body {
  readonly bulk: Length
  readonly flapBulk: Length
  readonly width: Side
  readonly height: Side
  /** Along the seam line, all round. */
  readonly perimeter: Length
  /** What the gusset and the zip run along, each half. */
  readonly halfRun: Side
  /** The finished width of each gusset strip, between seam and zip. */
  readonly gussetWidth: readonly Reason[]
  readonly fitWidth: Fit
  readonly fitHeight: Fit
}

export function zipEase(unit: Unit) {
  return { width: customary(3 / 8, unit), height: customary(3 / 8, unit) }
}

/** Piped work loses nothing to a turned edge. Source: docs/craft.md, Zip-around cover. */
export function sizeBody(job: Job<ZipAroundOptions>, options: ResolvedOptions): Body {
  const { object, stack, seam, grid, unit, inside } = job
  const bulk = standOff(stack)
  const flapBulk = flapStandOff(flapPliesOf(job, options.flapStyle))
  const gusset = linedStandOff(stack)
  const board = deriveBoard(object)
  const high = largestReading(object, 'height') ?? zero
  const needed = {
    width: settleNeed(job, 'width', neededRoundZipped(wrapWithPockets(object, inside), bulk, gusset)),
    height: settleNeed(job, 'height', neededOverZipped(high, { gusset, board, flapBulk })),
  }
  const ease = easesOf(job, zipEase(unit))
  const edges = twice('seam', seam)
  const { width, height } = outerSides(job, {
    computed: {
      width: [...needed.width, ...because('ease', ease.width), ...edges],
      height: [...needed.height, ...because('ease', ease.height), ...edges],
    },
    ruled: sizing => byRule(bookMeasures(object, 'wrap'), sizing),
  })
  const [finishedWidth, finishedHeight] = [width, height].map(side => finishedFromCut(side.cut, seam, zero))
  const judge = (direction: 'width' | 'height', finished = zero) =>
    judgeFit(direction, { needed: needed[direction], finished }, stack, slipOnBands)
  const perimeter = seamLine(finishedWidth ?? zero, finishedHeight ?? zero, options.cornerRadius)
  return {
    bulk,
    flapBulk,
    width,
    height,
    perimeter,
    halfRun: sideRoundedUp(
      [
        ...because('half the seam line', scale(perimeter, 1 / 2)),
        ...less('clear of the spine, twice', scale(options.zipGap, 2)),
      ],
      grid,
    ),
    gussetWidth: gussetReasons(job, bulk, options),
    fitWidth: judge('width', finishedWidth),
    fitHeight: judge('height', finishedHeight),
  }
}

/** P = 2(fin_w + fin_h) − (8 − 2π)·r_c. */
function seamLine(width: Length, height: Length, radius: Length): Length {
  return subtract(scale(add(width, height), 2), scale(radius, 8 - 2 * Math.PI))
}

/** f = (T + 2s + ⅛ in − exposed)/2, at least ½ in. */
function gussetReasons(
  { object, unit, inside }: Job<ZipAroundOptions>,
  bulk: Length,
  { zipExposed }: ResolvedOptions,
): readonly Reason[] {
  const half = (label: string, length: Length) => because(`${label}, half of it`, scale(length, 1 / 2))
  const reasons = [
    ...half('thickness of the book', add(thicknessOf(object), inside)),
    ...because('bulk of the cover', bulk),
    ...half('room', customary(1 / 8, unit)),
    ...less('what shows of the zip, half of it', scale(zipExposed, 1 / 2)),
  ]
  const least = customary(1 / 2, unit)
  return longest(least, totalOf(reasons)) === least ? because('the least that can be sewn', least) : reasons
}

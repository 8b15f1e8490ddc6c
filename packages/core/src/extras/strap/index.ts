import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { PieceCrease } from '../../piece/piece.js'
import { because, twice, type Reason } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { alongEnds, alongEdge, closedThickness, closureEnds, offEnd, refusesClosure } from '../closure.js'
import { defineExtra, extraPlan, type ExtraJob } from '../contract.js'
import { type Place } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface StrapOptions extends Place {
  readonly width?: Length | undefined
  readonly length?: Length | undefined
  readonly hookWidth?: Length | undefined
}

/** A pointed strap from back to front with hook-and-loop, soft side on the strap. Source: docs/craft.md, Closures. */
export const strap = defineExtra<StrapOptions>({
  type: 'strap',
  version: 1,
  words: {
    name: 'Strap',
    summary: 'A pointed strap over the fore-edge, closed by hook-and-loop; soft side on the strap.',
  },
  group: 'closure',
  refuses: refusesClosure,
  places: alongEnds,
  options: unit =>
    z.strictObject({
      width: lengthOption(
        unit,
        { min: mm(15), max: mm(150) },
        { label: 'Strap width', help: 'Finished. {2 in} unless set.' },
      ),
      length: lengthOption(
        unit,
        { min: mm(40), max: mm(900) },
        {
          label: 'Strap length',
          help: 'As cut. {2 in} on the back, the thickness, {4 in} on the front unless set.',
        },
      ),
      hookWidth: lengthOption(
        unit,
        { min: mm(5), max: mm(150) },
        {
          label: 'Hook-and-loop is wide',
          help: 'As many side by side as the strap takes. As wide as the strap unless set.',
        },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { unit, grid, options, reckoning } = job
    const width = options.width ?? customary(2, unit)
    const hookWidth = options.hookWidth ?? width
    const length = sideRoundedUp(lengthReasons(job), grid)
    const [back] = closureEnds(job, options)
    const base = offEnd(back, scale(customary(2, unit), -1))
    const half = scale(width, 1 / 2)
    const sideways = back.way[0] !== 0
    const [first, second] = [base, offEnd(back, subtract(length.exact, customary(2, unit)))]
    const corner = (axis: 0 | 1): Length => (first[axis] < second[axis] ? first[axis] : second[axis])
    const at = sideways
      ? ([corner(0), subtract(back.at[1], half)] as const)
      : ([subtract(back.at[0], half), corner(1)] as const)
    const size = sideways ? { width: length.exact, height: width } : { width, height: length.exact }
    return extraPlan({
      notes: [alongEdge(job, options)],
      pieces: [
        {
          id: 'strap',
          role: 'outer',
          count: 1,
          width: length,
          height: sideRoundedUp(
            [
              ...twice('finished width', width),
              ...(reckoning === 'first' ? because('seam', customary(1 / 4, unit)) : []),
            ],
            grid,
          ),
          measureFirst: true,
          ...(reckoning !== 'first' && { creases: foldedToPoint(length.cut, scale(width, 2)) }),
        },
      ],
      notions: [
        {
          id: 'hook-and-loop',
          kind: 'hook-and-loop',
          count: Math.max(1, Math.floor(width / hookWidth)),
          width: hookWidth,
          length: sideRoundedUp(because('as usual', customary(2, unit)), grid),
          measureFirst: true,
        },
      ],
      shapes: [{ piece: 'strap', name: 'strap', face: 'outside', at, ...size }],
      footprints: [{ at, ...size, face: 'outside', crossesFolds: true }],
    })
  },
})

/** 2 in sewn on, the thickness, 4 in onto the front; or as set. */
function lengthReasons({ object, unit, options }: ExtraJob<StrapOptions>): readonly Reason[] {
  if (options.length !== undefined) return because('length as set', options.length)
  return [
    ...because('sewn to the back', customary(2, unit)),
    ...because('over the thickness', closedThickness(object)),
    ...because('onto the front', customary(4, unit)),
  ]
}

/**
 * How the strip is folded: the corners of its right end to the middle, then both long edges, so that the end is a point
 * and no raw edge shows; stitched down the middle.
 */
function foldedToPoint(length: Length, width: Length): readonly PieceCrease[] {
  const [middle, quarter] = [scale(width, 1 / 2), scale(width, 1 / 4)]
  const shoulder = subtract(length, middle)
  const crease = (kind: PieceCrease['kind'], from: PieceCrease['from'], to: PieceCrease['to']) => ({
    kind,
    from,
    to,
  })
  return [
    crease('fold', [shoulder, zero], [length, middle]),
    crease('fold', [shoulder, width], [length, middle]),
    ...[quarter, scale(width, 3 / 4)].map(y => crease('fold', [zero, y], [length, y])),
    crease('stitch', [zero, middle], [length, middle]),
  ]
}

import type { Cover } from '../file/cover.js'
import type { Direction } from '../finding/finding.js'
import { add, inches, scale, subtract, type Length } from '../length/length.js'
import { roundUpToGrid } from '../length/grid.js'
import { customary } from '../length/unit.js'
import { outerOf } from '../material/layer.js'
import { plan, type Plan } from '../plan/plan.js'

/** A band of scrap that tells, before the cloth is cut, what the thing really needs in one direction. */
export interface TrialBand {
  readonly direction: Direction
  /** Along the direction, edge to edge. */
  readonly cut: Length
  /** Across it. */
  readonly across: Length
  /** Seam line to seam line, as it should measure when it is made up. */
  readonly finished: Length
  /** What should be over when it is tried on. */
  readonly spare: Length
}

/** Why a trial piece is worth its scrap. */
export type TrialReason = 'large' | 'thick' | 'uncertain'

/** The bands to cut, of scrap as thick as the outer cloth; the seams are the cover's. Empty without a fit. */
export function planTrialBands(cover: Cover): readonly TrialBand[] {
  const { trial: _trial, ...untried } = cover
  const bare = plan({ ...untried, stack: [outerOf(cover.stack)], extras: [] })
  return bare.fits.map(({ direction, needed, bands, parts }) => {
    const spare = scale(bands.snug, parts)
    const cut = roundUpToGrid(add(needed, spare, scale(bare.settled.seam, 2)), cover.grid)
    const finished = subtract(cut, scale(bare.settled.seam, 2))
    return {
      direction,
      cut,
      across: customary(4, cover.unit),
      finished,
      spare: subtract(finished, needed),
    }
  })
}

/** Above so much in a direction a small error of the tape is no longer small. */
const large = inches(24)
const thick = inches(2)

/** Why the cover wants a trial piece; empty where it can do without. */
export function whyTrial(
  { object }: Cover,
  planned: Plan,
  spreadsMm: readonly number[],
): readonly TrialReason[] {
  const big = planned.fits.some(({ needed, parts }) => needed > scale(large, parts))
  const deep = (object.readings.thickness ?? []).some(({ length }) => length > thick)
  return [
    ...(big ? (['large'] as const) : []),
    ...(deep ? (['thick'] as const) : []),
    ...(spreadsMm.some(spread => spread > 3) ? (['uncertain'] as const) : []),
  ]
}

import { scale, subtract, toMm, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf } from '../../material/layer.js'
import { deriveInnerWidth } from '../../object/derive.js'
import { largestReading, smallestReading } from '../../object/reading.js'
import type { Notion } from '../../piece/notion.js'
import type { Piece } from '../../piece/piece.js'
import { plyPiece } from '../../piece/plies.js'
import { because, less, totalOf, twice, type Reason } from '../../piece/reason.js'
import { sideRoundedDown } from '../../piece/side.js'
import { bookMeasures, wrapWithPockets } from '../book.js'
import type { Job } from '../contract.js'
import { byRule, outerSides, type BothWays } from '../sized.js'
import type { GluedWrapOptions, ResolvedOptions } from './options.js'

/** Gₑ + 2·J + 2·turn-in by H + 2·turn-in, and pastedowns. Source: docs/craft.md, Glued wrap. */
export function cutPieces(job: Job<GluedWrapOptions>, options: ResolvedOptions): readonly Piece[] {
  const { object, grid, unit } = job
  const { turnIn, pastedown } = options
  const covered = coveredBy(job, options)
  const edges = twice('turn-in', turnIn)
  const outer = plyPiece(job, outerOf(job.stack), {
    count: 1,
    ...outerSides(job, {
      computed: { width: [...covered.width, ...edges], height: [...covered.height, ...edges] },
      ruled: sizing => byRule(bookMeasures(object, 'wrap'), sizing),
    }),
  })
  if (!pastedown) return [outer]
  const sheet: Piece = {
    id: 'pastedown',
    role: 'card',
    count: 2,
    width: sideRoundedDown(
      [
        ...because('width of the board', deriveInnerWidth(object) ?? zero),
        ...less('clear of the fore-edge', customary(1 / 8, unit)),
      ],
      grid,
    ),
    height: sideRoundedDown(
      [
        ...because('height of the board', smallestReading(object, 'height') ?? zero),
        ...less('clear at head and tail', customary(1 / 4, unit)),
      ],
      grid,
    ),
  }
  return [outer, sheet]
}

/** What the cloth goes over before it turns in: the book, and what sinks into its grooves. */
function coveredBy(
  { object, inside }: Job<GluedWrapOptions>,
  { hingeGroove }: ResolvedOptions,
): BothWays<readonly Reason[]> {
  return {
    width: [...wrapWithPockets(object, inside), ...twice('hinge groove', hingeGroove)],
    height: because('height of the book', largestReading(object, 'height') ?? zero),
  }
}

/** The turn-ins as they come out, from the boards’ outer edges. */
export function turnInsOf(
  job: Job<GluedWrapOptions>,
  options: ResolvedOptions,
  [outer]: readonly Piece[],
): BothWays<Length> {
  const covered = coveredBy(job, options)
  const left = (direction: 'width' | 'height') =>
    scale(subtract(outer?.[direction].cut ?? zero, totalOf(covered[direction])), 1 / 2)
  return { width: left('width'), height: left('height') }
}

/** 120 g/m² a coat, over the whole cloth. */
const gramsPerSquareMetre = 120

export function glueFor([outer]: readonly Piece[]): readonly Notion[] {
  if (!outer) return []
  const area = (toMm(outer.width.cut) * toMm(outer.height.cut)) / 1e6
  return [
    { id: 'glue', kind: 'glue', count: 1, measureFirst: false, grams: Math.ceil(area * gramsPerSquareMetre) },
  ]
}

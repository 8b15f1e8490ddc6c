import { zero, toMm } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf } from '../../material/layer.js'
import { deriveBoard, deriveInnerWidth } from '../../object/derive.js'
import { largestReading, smallestReading } from '../../object/reading.js'
import type { Notion } from '../../piece/notion.js'
import type { Piece } from '../../piece/piece.js'
import { plyPiece } from '../../piece/plies.js'
import { because, less, twice } from '../../piece/reason.js'
import { sideRoundedDown, sideRoundedUp } from '../../piece/side.js'
import { wrapWithPockets } from '../book.js'
import type { Job } from '../contract.js'
import type { GluedWrapOptions, ResolvedOptions } from './options.js'

/** Gₑ + 2·J + 2·(B + turn-in) by H + 2·(B + turn-in), and pastedowns. Source: docs/craft.md, Glued wrap. */
export function cutPieces(job: Job<GluedWrapOptions>, options: ResolvedOptions): readonly Piece[] {
  const { object, grid, unit } = job
  const { turnIn, hingeGroove, pastedown } = options
  const edges = [...twice('board’s edge', deriveBoard(object).length), ...twice('turn-in', turnIn)]
  const outer = plyPiece(job, outerOf(job.stack), {
    count: 1,
    width: sideRoundedUp(
      [...wrapWithPockets(object, job.inside), ...twice('hinge groove', hingeGroove), ...edges],
      grid,
    ),
    height: sideRoundedUp(
      [...because('height of the book', largestReading(object, 'height') ?? zero), ...edges],
      grid,
    ),
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

/** 120 g/m² a coat, over the whole cloth. */
const gramsPerSquareMetre = 120

export function glueFor([outer]: readonly Piece[]): readonly Notion[] {
  if (!outer) return []
  const area = (toMm(outer.width.cut) * toMm(outer.height.cut)) / 1e6
  return [
    { id: 'glue', kind: 'glue', count: 1, measureFirst: false, grams: Math.ceil(area * gramsPerSquareMetre) },
  ]
}

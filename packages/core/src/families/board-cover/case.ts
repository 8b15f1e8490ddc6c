import { judgeFit, type Fit } from '../../fit/fit.js'
import { slipOnBands } from '../../fit/verdict.js'
import { add, longest, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { layerOf, outerOf } from '../../material/layer.js'
import { largestReading } from '../../object/reading.js'
import { because, becauseRead, less, twice, type Reason } from '../../piece/reason.js'
import { sideRoundedUp, type Side } from '../../piece/side.js'
import type { Job } from '../contract.js'
import type { BoardCoverOptions, ResolvedOptions } from './options.js'

/** The boards of the case, and the gaps between them. */
export interface BoardCase {
  /** One laminated board. */
  readonly thickness: Length
  readonly boardWidth: Side
  readonly boardHeight: Side
  readonly spineWidth: Side
  readonly gap: Length
  /** What the contents take, pressed lightly; nothing where nobody measured them. */
  readonly contents: Length
  /** How wide the case is inside when it is closed. */
  readonly inside: Length
}

/** Boards over the page, the spine over the contents, and a gap that lets them fold. Source: docs/craft.md, Board cover. */
export function sizeCase(job: Job<BoardCoverOptions>, options: ResolvedOptions): BoardCase {
  const { object, grid } = job
  const thickness = scale(options.sheetThickness, options.sheets)
  const read = largestReading(object, 'contentsThickness')
  const contents = add(read ?? zero, read === undefined ? zero : job.inside)
  const gap = gapOf(job, options, thickness)
  const spineWidth = sideRoundedUp(spineReasons(job, contents), grid)
  return {
    thickness,
    boardWidth: sideRoundedUp(
      [
        ...because('width of the page', largestReading(object, 'pageWidth') ?? zero),
        ...because('overhang at the fore-edge', options.foreEdgeOverhang),
      ],
      grid,
    ),
    boardHeight: sideRoundedUp(
      [
        ...because('height of the page', largestReading(object, 'pageHeight') ?? zero),
        ...twice('overhang at head and tail', options.headTailOverhang),
      ],
      grid,
    ),
    spineWidth,
    gap,
    contents,
    inside: insideOf(spineWidth.cut, gap, thickness),
  }
}

/** Closed, the inside is sw + √2·g − 2t wide. */
export function insideOf(spine: Length, gap: Length, thickness: Length): Length {
  return subtract(add(spine, scale(gap, Math.SQRT2)), scale(thickness, 2))
}

/**
 * The contents in the closed case: the spine board is cut at two edges, and each gap adds 1/√2 of how far it is off,
 * which for both together is one line’s error. Source: docs/craft.md, Chance of fitting.
 */
export function fitContents({ stack, inside }: Job<BoardCoverOptions>, made: BoardCase): Fit {
  return judgeFit(
    'width',
    {
      needed: [
        ...becauseRead('contents, pressed lightly', 'contentsThickness', subtract(made.contents, inside)),
        ...because('pockets inside', inside),
      ],
      finished: made.inside,
      making: { cutEdges: 2, seamLines: 1, foldLines: 0, takenUp: zero },
    },
    stack.map(layer => ({ ...layer, stretchAcross: 0 })),
    slipOnBands,
  )
}

/** The computed gap is max(√2·t + outer’s and underlining’s t, 2 mm). */
function gapOf(
  { stack, unit }: Job<BoardCoverOptions>,
  { gap, underlining }: ResolvedOptions,
  board: Length,
): Length {
  switch (gap) {
    case 'board':
      return board
    case 'eighth':
      return customary(1 / 8, unit)
    case 'computed': {
      const under = underlining ? (layerOf(stack, 'underlining')?.thickness ?? zero) : zero
      return longest(add(scale(board, Math.SQRT2), outerOf(stack).thickness, under), mm(2))
    }
    default:
      return gap
  }
}

function spineReasons({ options, unit }: Job<BoardCoverOptions>, contents: Length): readonly Reason[] {
  if (options.spineWidth !== undefined) return because('spine as set', options.spineWidth)
  if (contents === zero) return because('a usual spine, contents not measured', customary(3 / 2, unit))
  return [...because('contents, pressed lightly', contents), ...because('room', customary(1 / 4, unit))]
}

/** The narrowest spine board that takes the contents. */
export function spineFor({ contents, gap, thickness }: BoardCase): Length {
  const reasons = [
    ...because('contents', contents),
    ...because('both boards', scale(thickness, 2)),
    ...less('gaps', scale(gap, Math.SQRT2)),
  ]
  return add(...reasons.map(({ length }) => length))
}

import type { SayLength } from '../finding/say.js'
import { add, longest, scale, shortest, subtract, zero, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import { drawHeight, drawWidth } from './dimension.js'
import { line, rectangle, text, type Drawing, type Mark } from './drawing.js'
import { fillOf } from './ply-fill.js'

/** A piece so many times as long as wide is drawn shorter than it is, with a gap in it. */
const longestShown = 6

const shorter = 'drawn shorter than it is'

/**
 * One piece as it is cut, with its sizes and an arrow to its top. In true proportion, but for long thin ones: those are
 * drawn with their middle left out, and say so. Round it is room for its sizes.
 */
export function drawPiece({ id, role, width, height }: Piece, say: SayLength): Drawing {
  const [wide, high] = shownSize(width.cut, height.cut)
  const isShortened = wide < width.cut || high < height.cut
  const unit = scale(longest(wide, high), 1 / 40)
  const below = add(high, scale(unit, 2.5))
  const right = add(wide, scale(unit, 2.5))
  const [across, along] = [say(width.cut), say(height.cut)]
  const roomFor = (words: string) => add(unit, scale(letterOf(wide, high), words.length))
  const beside = subtract(roomFor(across), wide)
  const left = add(unit, scale(longest(zero, beside), 1 / 2))
  return {
    title: `The piece ${id}${isShortened ? `, ${shorter}` : ''}`,
    from: [scale(left, -1), scale(unit, -1)],
    width: longest(
      add(left, wide, scale(unit, 4), longest(roomFor(along), left)),
      isShortened ? add(left, roomFor(shorter)) : zero,
    ),
    height: add(high, scale(unit, isShortened ? 11.5 : 8)),
    marks: [
      rectangle([zero, zero], wide, high, { style: 'cut', fill: fillOf(role), piece: id }),
      ...(isShortened ? leftOut(wide, high) : []),
      line([scale(wide, 1 / 4), scale(high, 0.8)], [scale(wide, 1 / 4), scale(high, 0.2)], 'hint', 'end'),
      text([add(scale(wide, 1 / 4), scale(unit, 1.5)), scale(high, 0.5)], 'top', { align: 'start' }),
      ...drawWidth([zero, below], [wide, below], across, scale(unit, 0.8)),
      ...drawHeight([right, zero], [right, high], along, scale(unit, 0.8)),
      ...(isShortened
        ? [
            text([zero, add(high, scale(unit, 8.5))], shorter, {
              size: 'small',
              align: 'start',
            }),
          ]
        : []),
    ],
  }
}

/** How wide a letter of a size comes out at most, on a sketch twice as wide as high. */
function letterOf(wide: Length, high: Length): Length {
  return longest(scale(wide, 1 / 52), scale(high, 1 / 26))
}

function shownSize(width: Length, height: Length): readonly [Length, Length] {
  const most = scale(shortest(width, height), longestShown)
  return [shortest(width, most), shortest(height, most)]
}

/** Two jagged lines across the middle, with nothing between them. */
function leftOut(width: Length, height: Length): readonly Mark[] {
  const lies = width >= height
  const [long, short] = lies ? [width, height] : [height, width]
  const half = scale(short, 0.12)
  const edges = [-1, 1].map(side => {
    const at = (share: number): Length => add(scale(long, 1 / 2), scale(half, side + share))
    return [at(-0.5), at(0.5), at(-0.5), at(0.5), at(-0.5)].map((along, index) => {
      const across = scale(short, index / 4)
      return lies ? ([along, across] as const) : ([across, along] as const)
    })
  })
  const [first = [], second = []] = edges
  const [start, ...rest] = [...first, ...second.toReversed()]
  if (!start) return []
  const jagged = edges.flatMap(points =>
    points.slice(1).map((to, index) => line(points[index] ?? to, to, 'cut')),
  )
  return [
    { kind: 'path', start, steps: rest.map(to => ({ to })), closed: true, style: 'bare', fill: 'page' },
    ...jagged,
  ]
}

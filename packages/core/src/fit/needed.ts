import { add, longest, scale, subtract, tick, zero, type Length } from '../length/length.js'
import { turnOfCloth } from '../material/stand-off.js'
import { becauseOfBoard, type Board } from '../object/derive.js'
import { because, becauseOfBulk, becauseRead, totalOf, type Reason } from '../piece/reason.js'

/** What a slip-on cover needs round a book: Gₑ + B + π·s. Source of all: docs/craft.md, Fit. */
export function neededRoundBook(wrap: readonly Reason[], board: Board, bulk: Length): readonly Reason[] {
  return [
    ...wrap,
    ...becauseOfBoard('half a board at each fore-edge', board),
    ...becauseOfBulk('bulk round the two spine corners', turnOfCloth(bulk)),
  ]
}

/** Padding that ends inside the seam: how thick it lies in the stack, and how far inside the seam line it ends. */
export interface Slope {
  readonly padding: Length
  readonly inside: Length
}

/** Nothing slopes: all plies reach the edge. */
export const noSlope: Slope = { padding: zero, inside: zero }

/** What goes over the edges of a board: how far cover and flap stand off, and what of it slopes away before the edge. */
export interface OverEdges {
  readonly bulk: Length
  readonly flapBulk: Length
  readonly slope?: Slope
}

/**
 * What a pocket closed at top and bottom needs over a book: H + B + π·(s − Δ + s_f)/2 + (π/2)·(√(c′² + Δ²) − c′), with
 * Δ the padding’s part of s and c′ how far inside the board’s edge it ends; where that is nothing, H + B + π·(s + s_f)/2.
 */
export function neededOverBook(
  height: Length,
  board: Board,
  { bulk, flapBulk, slope = noSlope }: OverEdges,
): readonly Reason[] {
  const { padding } = slope
  const inside = longest(zero, subtract(slope.inside, scale(board.length, 1 / 2)))
  const edges = [
    ...becauseRead('height of the book', 'height', height),
    ...becauseOfBoard('board edges, top and bottom', board),
  ]
  if (padding === zero || inside === zero)
    return [
      ...edges,
      ...becauseOfBulk(
        'bulk of cover and flap round the edges',
        turnOfCloth(scale(add(bulk, flapBulk), 1 / 2)),
      ),
    ]
  return [
    ...edges,
    ...becauseOfBulk(
      'bulk of cover and flap round the edges, without the padding',
      turnOfCloth(scale(add(subtract(bulk, padding), flapBulk), 1 / 2)),
    ),
    ...because('the padding’s slope to its edge', slopeOf(padding, inside), {
      kind: 'slope',
      rise: padding,
      run: inside,
    }),
  ]
}

/** How much longer two quarter turns get where a ply of that thickness slopes away over that run: (π/2)·(√(c′² + Δ²) − c′). */
export function slopeOf(rise: Length, run: Length): Length {
  return subtract(scale(tick, (Math.PI / 2) * Math.hypot(rise, run)), scale(tick, (Math.PI / 2) * run))
}

/** A device as it goes into a pouch. */
export interface Device {
  readonly height: Length
  readonly width: Length
  readonly thickness: Length
  /** So many times its thickness as a part of a size; once unless said. */
  readonly thick: (label: string, share?: number) => readonly Reason[]
  /** So many times the radius of its edges less; of square ones, nothing. */
  readonly rounded: (label: string, share: number) => readonly Reason[]
}

/** What a rounded edge saves at each right-angled corner pair: 2 of its 4 − π radii. */
const savedByRounding = 4 - Math.PI

/** What a pouch of two walls needs across: W + T − (4 − π)·e + π·s̄, with s̄ the mean stand-off of the walls. */
export function neededAcrossPouch({ width, thick, rounded }: Device, bulk: Length): readonly Reason[] {
  return [
    ...becauseRead('width of the device', 'width', width),
    ...thick('its thickness, half at each side'),
    ...rounded('what its edges round off', savedByRounding),
    ...becauseOfBulk('bulk of the walls round the sides', turnOfCloth(bulk)),
  ]
}

/** Down to the bottom seam: H + T/2 − (2 − π/2)·e + (π/2)·s̄ under an open top, twice of all but H closed. */
export function neededDownPouch(
  { height, thick, rounded }: Device,
  bulk: Length,
  top: 'open' | 'closed',
): readonly Reason[] {
  const share = top === 'open' ? 1 / 2 : 1
  return [
    ...becauseRead('height of the device', 'height', height),
    ...thick(top === 'open' ? 'half its thickness at the bottom' : 'its thickness', share),
    ...rounded('what its edges round off', savedByRounding * share),
    ...becauseOfBulk('bulk of the walls round the ends', scale(turnOfCloth(bulk), share)),
  ]
}

/** Round a device lengthwise, as a case that folds over it: 2·(H + T/2) + T − 2·(4 − π)·e + π·s. */
export function neededRoundDevice({ height, thick, rounded }: Device, bulk: Length): readonly Reason[] {
  return [
    ...becauseRead('height of the device, twice', 'height', height, 2),
    ...thick('half its thickness at each end'),
    ...thick('its thickness at the fold'),
    ...rounded('what its edges round off', 2 * savedByRounding),
    ...becauseOfBulk('bulk round the fold', turnOfCloth(bulk)),
  ]
}

/** What a cover zipped all round needs round a book: Gₑ + π·s + 2·s_g, its gusset standing at the fore-edges. */
export function neededRoundZipped(wrap: readonly Reason[], bulk: Length, gusset: Length): readonly Reason[] {
  return [
    ...wrap,
    ...becauseOfBulk('bulk round the two spine corners', turnOfCloth(bulk)),
    ...becauseOfBulk('gusset at the fore-edge, twice', scale(gusset, 2)),
  ]
}

/** And over it: H + max(2·s_g, 2B + π·s_f), the gusset or the flap over its boards, whichever takes more. */
export function neededOverZipped(
  height: Length,
  { gusset, board, flapBulk }: { readonly gusset: Length; readonly board: Board; readonly flapBulk: Length },
): readonly Reason[] {
  const ways = [
    [...becauseOfBoard('boards', board, 2), ...becauseOfBulk('flaps', turnOfCloth(flapBulk))],
    becauseOfBulk('gussets', scale(gusset, 2)),
  ]
  const [flaps = zero, gussets = zero] = ways.map(totalOf)
  return [
    ...becauseRead('height of the book', 'height', height),
    ...because(
      flaps > gussets ? 'boards and flaps at top and bottom' : 'gusset at top and bottom',
      longest(flaps, gussets),
      { kind: 'larger', ways },
    ),
  ]
}

import { add, longest, scale, zero, type Length } from '../length/length.js'
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

/** What a pocket closed at top and bottom needs over a book: H + B + π·(s + s_f)/2. */
export function neededOverBook(
  height: Length,
  board: Board,
  bulk: Length,
  flapBulk: Length,
): readonly Reason[] {
  return [
    ...becauseRead('height of the book', 'height', height),
    ...becauseOfBoard('board edges, top and bottom', board),
    ...becauseOfBulk(
      'bulk of cover and flap round the edges',
      turnOfCloth(scale(add(bulk, flapBulk), 1 / 2)),
    ),
  ]
}

/** A device as it goes into a pouch. */
export interface Device {
  readonly height: Length
  readonly width: Length
  readonly thickness: Length
  /** So many times its thickness as a part of a size; once unless said. */
  readonly thick: (label: string, share?: number) => readonly Reason[]
}

/** What a pouch of two walls needs across: W + T + π·s̄, with s̄ the mean stand-off of the walls. */
export function neededAcrossPouch({ width, thick }: Device, bulk: Length): readonly Reason[] {
  return [
    ...becauseRead('width of the device', 'width', width),
    ...thick('its thickness, half at each side'),
    ...becauseOfBulk('bulk of the walls round the sides', turnOfCloth(bulk)),
  ]
}

/** Down to the bottom seam: H + T/2 + (π/2)·s̄ under an open top, H + T + π·s̄ closed. */
export function neededDownPouch(
  { height, thick }: Device,
  bulk: Length,
  top: 'open' | 'closed',
): readonly Reason[] {
  const share = top === 'open' ? 1 / 2 : 1
  return [
    ...becauseRead('height of the device', 'height', height),
    ...thick(top === 'open' ? 'half its thickness at the bottom' : 'its thickness', share),
    ...becauseOfBulk('bulk of the walls round the ends', scale(turnOfCloth(bulk), share)),
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

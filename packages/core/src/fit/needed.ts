import { add, longest, scale, type Length } from '../length/length.js'
import { turnOfCloth } from '../material/stand-off.js'
import { because, twice, type Reason } from '../piece/reason.js'

/** What a slip-on cover needs round a book: Gₑ + B + π·s. Source of all: docs/craft.md, Fit. */
export function neededRoundBook(wrap: readonly Reason[], board: Length, bulk: Length): readonly Reason[] {
  return [
    ...wrap,
    ...because('half a board at each fore-edge', board),
    ...because('bulk round the two spine corners', turnOfCloth(bulk)),
  ]
}

/** What a pocket closed at top and bottom needs over a book: H + B + π·(s + s_f)/2. */
export function neededOverBook(
  height: Length,
  board: Length,
  bulk: Length,
  flapBulk: Length,
): readonly Reason[] {
  return [
    ...because('height of the book', height),
    ...because('board edges, top and bottom', board),
    ...because('bulk of cover and flap round the edges', turnOfCloth(scale(add(bulk, flapBulk), 1 / 2))),
  ]
}

/** A device as it goes into a pouch. */
export interface Device {
  readonly height: Length
  readonly width: Length
  readonly thickness: Length
}

/** What a pouch of two walls needs across: W + T + π·s̄, with s̄ the mean stand-off of the walls. */
export function neededAcrossPouch({ width, thickness }: Device, bulk: Length): readonly Reason[] {
  return [
    ...because('width of the device', width),
    ...because('its thickness, half at each side', thickness),
    ...because('bulk of the walls round the sides', turnOfCloth(bulk)),
  ]
}

/** Down to the bottom seam: H + T/2 + (π/2)·s̄ under an open top, H + T + π·s̄ closed. */
export function neededDownPouch(
  { height, thickness }: Device,
  bulk: Length,
  top: 'open' | 'closed',
): readonly Reason[] {
  const share = top === 'open' ? 1 / 2 : 1
  return [
    ...because('height of the device', height),
    ...because(
      top === 'open' ? 'half its thickness at the bottom' : 'its thickness',
      scale(thickness, share),
    ),
    ...because('bulk of the walls round the ends', scale(turnOfCloth(bulk), share)),
  ]
}

/** What a cover zipped all round needs round a book: Gₑ + π·s + 2·s_g, its gusset standing at the fore-edges. */
export function neededRoundZipped(wrap: readonly Reason[], bulk: Length, gusset: Length): readonly Reason[] {
  return [
    ...wrap,
    ...because('bulk round the two spine corners', turnOfCloth(bulk)),
    ...twice('gusset at the fore-edge', gusset),
  ]
}

/** And over it: H + max(2·s_g, 2B + π·s_f), the gusset or the flap over its boards, whichever takes more. */
export function neededOverZipped(
  height: Length,
  { gusset, board, flapBulk }: { readonly gusset: Length; readonly board: Length; readonly flapBulk: Length },
): readonly Reason[] {
  const flaps = add(scale(board, 2), turnOfCloth(flapBulk))
  const gussets = scale(gusset, 2)
  return [
    ...because('height of the book', height),
    ...because(
      flaps > gussets ? 'boards and flaps at top and bottom' : 'gusset at top and bottom',
      longest(flaps, gussets),
    ),
  ]
}

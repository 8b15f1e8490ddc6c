import { add, scale, type Length } from '../length/length.js'
import { turnOfCloth } from '../material/stand-off.js'
import { because, type Reason } from '../piece/reason.js'

/** What a slip-on cover needs round a book: Gₑ + B + π·s. Source: docs/craft.md, Fit. */
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

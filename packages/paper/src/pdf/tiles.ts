import type { Paper } from './paper.js'

/** What no printer reaches, and by how much neighbours overlap, in millimetres. */
export const unprinted = 10
export const overlap = 10

export interface Tile {
  readonly column: number
  readonly row: number
  /** What of the drawing it shows, from its upper left corner, in millimetres. */
  readonly from: readonly [x: number, y: number]
  /** “B2”: the row’s letter, the column’s number. */
  readonly name: string
}

export interface Tiling {
  readonly columns: number
  readonly rows: number
  /** What of the drawing fits on one sheet. */
  readonly window: readonly [width: number, height: number]
  readonly tiles: readonly Tile[]
}

/** As few sheets as show a drawing of that size, each overlapping the next; row by row. */
export function tile(width: number, height: number, paper: Paper): Tiling {
  const window = [paper.width - 2 * unprinted, paper.height - 2 * unprinted] as const
  const count = (length: number, room: number) =>
    Math.max(1, Math.ceil((length - overlap) / (room - overlap)))
  const [columns, rows] = [count(width, window[0]), count(height, window[1])]
  return {
    columns,
    rows,
    window,
    tiles: Array.from({ length: columns * rows }, (_, index) => {
      const [column, row] = [index % columns, Math.floor(index / columns)]
      return {
        column,
        row,
        from: [column * (window[0] - overlap), row * (window[1] - overlap)],
        name: `${letters(row)}${column + 1}`,
      }
    }),
  }
}

/** A to Z, then AA and on. */
function letters(index: number): string {
  const last = String.fromCharCode(65 + (index % 26))
  return index < 26 ? last : letters(Math.floor(index / 26) - 1) + last
}

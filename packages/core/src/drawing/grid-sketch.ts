import { mm } from '../length/length.js'
import {
  line,
  rectangle,
  text,
  type Drawing,
  type Fill,
  type LineStyle,
  type Mark,
  type Point,
} from './drawing.js'

/** One stroke of a sketch on a field of 100 × 50. */
export type Stroke =
  | {
      readonly line: readonly [x1: number, y1: number, x2: number, y2: number]
      readonly style: LineStyle
      readonly arrow?: 'end'
    }
  | {
      readonly box: readonly [x: number, y: number, width: number, height: number]
      readonly style: LineStyle
      readonly fill: Fill
    }
  | { readonly text: string; readonly at: readonly [x: number, y: number] }

const [wide, high] = [100, 52]

/** A sketch of a technique, not to scale; mirrored, left and right change places and words do not. */
export function drawOnGrid(name: string, strokes: readonly Stroke[], mirrored: boolean): Drawing {
  const at = (x: number, y: number): Point => [mm(mirrored ? wide - x : x), mm(y)]
  const marks = strokes.map((stroke): Mark => {
    if ('text' in stroke) return text(at(...stroke.at), stroke.text, { size: 'small' })
    if ('line' in stroke) {
      const [x1, y1, x2, y2] = stroke.line
      return line(at(x1, y1), at(x2, y2), stroke.style, stroke.arrow)
    }
    const [x, y, width, height] = stroke.box
    const corner = at(mirrored ? x + width : x, y)
    return rectangle(corner, mm(width), mm(height), { style: stroke.style, fill: stroke.fill })
  })
  return { title: `${name}. Not to scale`, from: [mm(0), mm(0)], width: mm(wide), height: mm(high), marks }
}

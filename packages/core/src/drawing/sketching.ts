import { mm } from '../length/length.js'
import {
  rectangle,
  text,
  type Fill,
  type LineStyle,
  type Mark,
  type PathMark,
  type Point,
} from './drawing.js'

/** For sketches whose places are given in millimetres. */
export function at(x: number, y: number): Point {
  return [mm(x), mm(y)]
}

export function box(
  x: number,
  y: number,
  width: number,
  height: number,
  style: LineStyle,
  fill: Fill = 'none',
): PathMark {
  return rectangle(at(x, y), mm(width), mm(height), { style, fill })
}

export function word(x: number, y: number, words: string): Mark {
  return text(at(x, y), words, { size: 'small' })
}

/** A run of straight stretches. */
export function run(style: LineStyle, [start, ...rest]: readonly [Point, ...Point[]]): PathMark {
  return { kind: 'path', start, steps: rest.map(to => ({ to })), closed: false, style, fill: 'none' }
}

export function circle(x: number, y: number, radius: number, style: LineStyle): PathMark {
  const half = (to: Point) => ({ to, radius: mm(radius), clockwise: true })
  const left = at(x - radius, y)
  return {
    kind: 'path',
    start: left,
    steps: [half(at(x + radius, y)), half(left)],
    closed: true,
    style,
    fill: 'none',
  }
}

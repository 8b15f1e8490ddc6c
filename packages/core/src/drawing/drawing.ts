import { add, type Length } from '../length/length.js'
import type { Dimension } from './strip-dimensions.js'

/** A place on a drawing: x to the right, y down, both in Length. */
export type Point = readonly [Length, Length]

/** What a line means; renderers tell them apart by dash and weight as well as by colour. */
export type LineStyle =
  | 'edge'
  | 'seam'
  | 'fold'
  | 'stitch'
  | 'cut'
  | 'opening'
  | 'tie'
  | 'zip'
  | 'binding'
  | 'hem'
  | 'quilting'
  | 'elastic'
  | 'slit'
  | 'pocket'
  | 'hole'
  | 'measure'
  | 'hidden'
  | 'object'
  | 'leaf'
  | 'hint'
  | 'tape'
  | 'missing'
  | 'bare'

/** How an area is filled; layers are told apart by it. */
export type Fill =
  | 'none'
  | 'outside'
  | 'inside'
  | 'wrong-side'
  | 'object'
  | 'board'
  | 'leaves'
  | 'outer'
  | 'lining'
  | 'padding'
  | 'interfacing'
  | 'card'
  | 'pocket'
  | 'missing'
  | 'page'
  | 'other'

export interface LineMark {
  readonly kind: 'line'
  readonly from: Point
  readonly to: Point
  readonly style: LineStyle
  readonly arrow?: 'end' | 'both'
}

/** A run of straight stretches and quarter or half turns; closed where it is filled. */
export interface PathMark {
  readonly kind: 'path'
  readonly start: Point
  readonly steps: readonly PathStep[]
  readonly closed: boolean
  readonly style: LineStyle
  readonly fill: Fill
  /** The piece it shows, so that it lights up with it. */
  readonly piece?: string
}

export type PathStep =
  { readonly to: Point } | { readonly to: Point; readonly radius: Length; readonly clockwise: boolean }

export interface TextMark {
  readonly kind: 'text'
  readonly at: Point
  readonly text: string
  readonly align: 'start' | 'middle' | 'end'
  readonly size: 'small' | 'normal'
  readonly turned?: boolean
  /** The dimension that it says. */
  readonly says?: Dimension
}

export type Mark = LineMark | PathMark | TextMark

/** One neutral picture in true proportion: screens and exports render the same marks. */
export interface Drawing {
  readonly title: string
  readonly from: Point
  readonly width: Length
  readonly height: Length
  readonly marks: readonly Mark[]
  /** Cut across, or seen aslant: cloth shows its colour here, and no print. */
  readonly plainCloth?: true
  /** In the plane of the flat cover, seen from outside: a print shows where the pieces were laid on it. */
  readonly showsPrint?: true
}

export function line(from: Point, to: Point, style: LineStyle, arrow?: 'end' | 'both'): LineMark {
  return { kind: 'line', from, to, style, ...(arrow && { arrow }) }
}

/** An upright rectangle from its top left corner. */
export function rectangle(
  [x, y]: Point,
  width: Length,
  height: Length,
  {
    style,
    fill = 'none',
    piece,
  }: { readonly style: LineStyle; readonly fill?: Fill; readonly piece?: string },
): PathMark {
  const right = add(x, width)
  const bottom = add(y, height)
  return {
    kind: 'path',
    start: [x, y],
    steps: [{ to: [right, y] }, { to: [right, bottom] }, { to: [x, bottom] }],
    closed: true,
    style,
    fill,
    ...(piece !== undefined && { piece }),
  }
}

export function text(
  at: Point,
  words: string,
  {
    align = 'middle',
    size = 'normal',
    turned = false,
    says,
  }: Partial<Pick<TextMark, 'align' | 'size' | 'turned' | 'says'>> = {},
): TextMark {
  return { kind: 'text', at, text: words, align, size, ...(turned && { turned }), ...(says && { says }) }
}

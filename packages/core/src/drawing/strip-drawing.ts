import {
  placePanels,
  totalWidth,
  type Face,
  type Panel,
  type Strip,
  type StripLine,
} from '../families/strip.js'
import type { SayLength } from '../finding/say.js'
import { add, longest, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { drawHeight, drawWidth } from './dimension.js'
import { line, rectangle, text, type Drawing, type LineStyle, type Mark, type Point } from './drawing.js'
import { drawCorners, outlineOf } from './strip-outline.js'
import { drawHoles, drawShapes } from './strip-shapes.js'
import { bodyWidth, panelDimension } from './strip-dimensions.js'
import { isHidden, layFor } from './turn-over.js'

interface PlacedPanel extends Panel {
  readonly x: Length
}

export interface StripView {
  readonly face?: Face
  /** Without words and sizes, for a picture too small to read them. */
  readonly plain?: boolean
}

/** The finished cover laid flat, with its folds, seams, cut edges and sizes; from outside unless said. */
export function drawStrip(
  strip: Strip,
  say: SayLength,
  { face = 'outside', plain = false }: StripView = {},
): Drawing {
  const seen = layFor(strip, face)
  const panels = placePanels(seen.panels)
  const total = totalWidth(seen.panels)
  // Pictures stand in frames about twice as wide as high: what is taller than that is shown smaller, its letters not.
  const unit = scale(longest(total, scale(seen.height, 2)), 1 / 100)
  const margin = scale(unit, plain ? 3 : 4)
  const out = overhang(seen, total)
  const below = plain ? margin : scale(unit, 13)
  // “top” stands clear of every edge that is cut, for edges are taken hold of.
  const above = longest(plain ? margin : add(out.cutAbove, scale(unit, 7)), add(out.above, scale(unit, 2)))
  return {
    title: `The cover laid flat, seen from ${face}`,
    from: [scale(add(margin, out.left), -1), scale(above, -1)],
    width: add(total, margin, scale(unit, plain ? 3 : 9), out.left, out.right),
    height: add(seen.height, above, below, out.below),
    ...(face === 'outside' && { showsPrint: true as const }),
    marks: [
      ...panels.map(panel => drawPanel(panel, seen, face)),
      outlineOf(seen, total),
      ...drawCorners(seen, total),
      ...seen.cutPieces.map(area =>
        rectangle(area.at, area.width, area.height, { style: 'cut', piece: area.piece }),
      ),
      ...seen.areas.map(area =>
        rectangle(area.at, area.width, area.height, { style: 'hidden', piece: area.piece }),
      ),
      ...drawShapes(seen, face, unit, plain),
      ...seen.lines.flatMap(drawn => drawLine(drawn, face)),
      ...drawHoles(seen),
      ...(plain
        ? []
        : [
            ...panels.flatMap(panel => labelPanel(panel, seen.height, unit)),
            ...drawTop(scale(total, 1 / 2), unit, above),
            ...(panels.length > 1
              ? panels.flatMap(panel => measurePanel(panel, add(seen.height, out.below), unit, say))
              : []),
            ...measureWhole(panels, seen.height, {
              unit,
              say,
              low: add(seen.height, out.below),
              right: out.right,
            }),
          ]),
    ],
  }
}

/** How far cut edges and closures stand out beyond the finished cover. */
function overhang({ cutPieces, height, shapes, lines }: Strip, total: Length) {
  const xs = [...lines.flatMap(({ from, to }) => [from[0], to[0]])]
  const ys = [...lines.flatMap(({ from, to }) => [from[1], to[1]])]
  for (const { at, width, height: high } of [...cutPieces, ...shapes]) {
    xs.push(at[0], add(at[0], width))
    ys.push(at[1], add(at[1], high))
  }
  const most = (values: readonly Length[]) => longest(zero, ...values)
  const before = (values: readonly Length[]) => most(values.map(negate))
  return {
    left: before(xs),
    right: most(xs.map(x => subtract(x, total))),
    above: before(ys),
    cutAbove: before(cutPieces.map(({ at }) => at[1])),
    below: most(ys.map(y => subtract(y, height))),
  }
}

function drawPanel({ kind, x, width }: PlacedPanel, { height }: Strip, face: Face): Mark {
  const inside = face === 'inside' ? kind !== 'fore-edge' : kind === 'flap'
  return rectangle([x, zero], width, height, {
    style: 'bare',
    fill: inside ? 'inside' : 'outside',
    piece: kind === 'flap' ? 'flap' : 'outer',
  })
}

/** How each kind of line is drawn: a ribbon as a tie is. */
export const lineStyles: Readonly<Record<StripLine['kind'], LineStyle>> = {
  fold: 'fold',
  seam: 'seam',
  stitch: 'stitch',
  opening: 'opening',
  tie: 'tie',
  ribbon: 'tie',
  zip: 'zip',
  binding: 'binding',
  hem: 'hem',
  quilting: 'quilting',
  elastic: 'elastic',
  slit: 'slit',
}

function drawLine({ kind, from, to, face }: StripLine, seenFrom: Face): readonly Mark[] {
  return [line(from, to, isHidden(face, seenFrom) ? 'hidden' : lineStyles[kind])]
}

/** How far down its panel a name stands, as a share of the height. */
export const nameDown = 3 / 10

/** The name of a panel; in a spine too narrow for it the word is turned, in a narrower one left out. */
function labelPanel({ name, kind, x, width }: PlacedPanel, height: Length, unit: Length): readonly Mark[] {
  if (kind === 'gap') return []
  const at: Point = [add(x, scale(width, 1 / 2)), scale(height, nameDown)]
  if (width > scale(unit, name.length * 1.6)) return [text(at, name)]
  return width > scale(unit, 2.5) ? [text(at, name, { turned: true })] : []
}

function drawTop(x: Length, unit: Length, above: Length): readonly Mark[] {
  const top = scale(above, -1)
  return [
    line([x, add(top, scale(unit, 5))], [x, add(top, scale(unit, 1.5))], 'hint', 'end'),
    text([add(x, scale(unit, 1.5)), add(top, scale(unit, 4))], 'top', { align: 'start', size: 'small' }),
  ]
}

function measurePanel(
  { id, x, width }: PlacedPanel,
  low: Length,
  unit: Length,
  say: SayLength,
): readonly Mark[] {
  if (width < scale(unit, 4.5)) return []
  const y = add(low, scale(unit, 3))
  return drawWidth([x, y], [add(x, width), y], say(width), scale(unit, 0.8), panelDimension(id))
}

/** The body's finished width below the panels, and its height at the right. */
function measureWhole(
  panels: readonly PlacedPanel[],
  height: Length,
  place: { readonly unit: Length; readonly say: SayLength; readonly low: Length; readonly right: Length },
): readonly Mark[] {
  const { unit, say, low } = place
  const first = panels.find(({ kind }) => kind !== 'flap')
  const [last, width] = [panels.at(-1), bodyWidth({ panels })]
  if (!first || !last || width === undefined) return []
  const y = add(low, scale(unit, 8))
  const right = add(last.x, last.width, place.right, scale(unit, 2.5))
  return [
    ...(first.kind === 'wall'
      ? []
      : drawWidth(
          [first.x, y],
          [add(first.x, width), y],
          `${say(width)} finished`,
          scale(unit, 0.8),
          'width',
        )),
    ...drawHeight([right, zero], [right, height], say(height), scale(unit, 0.8), 'height'),
  ]
}

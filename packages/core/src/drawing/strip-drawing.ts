import type { Panel, Strip, StripLine } from '../families/strip.js'
import type { SayLength } from '../finding/say.js'
import { add, longest, scale, zero, type Length } from '../length/length.js'
import { drawHeight, drawWidth } from './dimension.js'
import { line, rectangle, text, type Drawing, type LineStyle, type Mark, type Point } from './drawing.js'

interface PlacedPanel extends Panel {
  readonly x: Length
}

/** The finished cover laid flat, seen from outside, with its folds, seams, cut edges and sizes. */
export function drawStrip(strip: Strip, say: SayLength): Drawing {
  const panels = placePanels(strip.panels)
  const total = add(...strip.panels.map(panel => panel.width))
  const unit = scale(longest(total, strip.height), 1 / 100)
  const margin = scale(unit, 4)
  const below = scale(unit, 13)
  return {
    title: 'The cover laid flat, seen from outside',
    from: [scale(margin, -1), scale(unit, -6)],
    width: add(total, margin, scale(unit, 9)),
    height: add(strip.height, scale(unit, 6), below),
    marks: [
      ...panels.map(panel => drawPanel(panel, strip.height)),
      rectangle([zero, zero], total, strip.height, { style: 'edge' }),
      ...strip.cutPieces.map(area =>
        rectangle(area.at, area.width, area.height, { style: 'cut', piece: area.piece }),
      ),
      ...strip.areas.map(area =>
        rectangle(area.at, area.width, area.height, { style: 'hidden', piece: area.piece }),
      ),
      ...strip.lines.flatMap(drawLine),
      ...panels.flatMap(panel => labelPanel(panel, strip.height, unit)),
      ...drawTop(scale(total, 1 / 2), unit),
      ...panels.flatMap(panel => measurePanel(panel, strip.height, unit, say)),
      ...measureWhole(panels, strip.height, unit, say),
    ],
  }
}

function placePanels(panels: readonly Panel[]): readonly PlacedPanel[] {
  let x = zero
  return panels.map(panel => {
    const placed = { ...panel, x }
    x = add(x, panel.width)
    return placed
  })
}

function drawPanel({ kind, x, width }: PlacedPanel, height: Length): Mark {
  return rectangle([x, zero], width, height, {
    style: 'bare',
    fill: kind === 'flap' ? 'inside' : 'outside',
    piece: kind === 'flap' ? 'flap' : 'outer',
  })
}

const lineStyles: Readonly<Record<StripLine['kind'], LineStyle>> = {
  fold: 'fold',
  seam: 'seam',
  stitch: 'stitch',
  opening: 'opening',
  tie: 'tie',
  zip: 'zip',
  binding: 'binding',
  hem: 'hem',
  quilting: 'quilting',
  elastic: 'elastic',
  slit: 'slit',
}

function drawLine({ kind, from, to }: StripLine): readonly Mark[] {
  return [line(from, to, lineStyles[kind])]
}

/** The name of a panel; in a spine too narrow for it the word is turned, in a narrower one left out. */
function labelPanel({ name, x, width }: PlacedPanel, height: Length, unit: Length): readonly Mark[] {
  const at: Point = [add(x, scale(width, 1 / 2)), scale(height, 0.3)]
  if (width > scale(unit, name.length * 1.6)) return [text(at, name)]
  return width > scale(unit, 2.5) ? [text(at, name, { turned: true })] : []
}

function drawTop(x: Length, unit: Length): readonly Mark[] {
  return [
    line([x, scale(unit, -1)], [x, scale(unit, -4.5)], 'hint', 'end'),
    text([add(x, scale(unit, 1.5)), scale(unit, -2)], 'top', { align: 'start', size: 'small' }),
  ]
}

function measurePanel(
  { x, width }: PlacedPanel,
  height: Length,
  unit: Length,
  say: SayLength,
): readonly Mark[] {
  if (width < scale(unit, 4.5)) return []
  const y = add(height, scale(unit, 3))
  return drawWidth([x, y], [add(x, width), y], say(width), scale(unit, 0.8))
}

/** The body's finished width below the panels, and its height at the right. */
function measureWhole(
  panels: readonly PlacedPanel[],
  height: Length,
  unit: Length,
  say: SayLength,
): readonly Mark[] {
  const body = panels.filter(panel => panel.kind !== 'flap')
  const [first, last] = [body.at(0), panels.at(-1)]
  if (!first || !last) return []
  const width = add(...body.map(panel => panel.width))
  const y = add(height, scale(unit, 8))
  const right = add(last.x, last.width, scale(unit, 2.5))
  return [
    ...drawWidth([first.x, y], [add(first.x, width), y], `${say(width)} finished`, scale(unit, 0.8)),
    ...drawHeight([right, zero], [right, height], say(height), scale(unit, 0.8)),
  ]
}

import { fillOf } from '../drawing/ply-fill.js'
import { hasSides } from '../drawing/joining-drawing.js'
import type { Section } from '../families/section.js'
import type { Face, Strip, StripLine, StripPoint } from '../families/strip.js'
import { add, longest, mm, scale, shortest, subtract, toMm, zero, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import type { Leaf } from './leaf.js'
import type { PanelLeaves } from './panel-leaves.js'

/** A part of the flat cover, seen from outside. */
interface Box {
  readonly left: Length
  readonly top: Length
  readonly right: Length
  readonly bottom: Length
}

/** What lies on the cover, before it is known on which of its panels. */
interface SewnOn extends Pick<Leaf, 'id' | 'name' | 'thickness' | 'piece'> {
  readonly box: Box
  readonly face: Face
  /** Where its one end is held: it hangs from there, over whatever it is drawn on. */
  readonly heldAt?: StripPoint
  /** Its side that is seen, and the other. */
  readonly fills: readonly [seen: Leaf['inside'], under: Leaf['inside']]
}

interface Made {
  readonly strip: Strip
  readonly section: Section
  readonly pieces: readonly Piece[]
}

/**
 * What sits on the finished cover, as leaves that move with the panels they lie on: pockets, labels and straps; zips, elastic,
 * ribbons and ties as narrow ones. What reaches across a fold is one leaf on each panel; what hangs out over an edge stays in
 * the plane of its panel, a tie at a fold in that of the panel which does not fold in. Each lies above those that
 * are on its panel before it.
 */
export function sewnOnLeaves(
  made: Made,
  { leaves: panels, flaps }: Pick<PanelLeaves, 'leaves' | 'flaps'>,
): readonly Leaf[] {
  const all = [...shapesOn(made), ...linesOn(made.strip)]
  const heights = new Map<string, Length>()
  return all.flatMap(one => {
    const holder = one.heldAt && holderOf(one.heldAt, panels, flaps)
    return panels.flatMap((panel): readonly Leaf[] => {
      const part = one.heldAt ? panel === holder && one.box : withinPanel(one.box, panel, made.strip)
      if (!part) return []
      const side = `${panel.id} ${one.face}`
      const below = heights.get(side) ?? zero
      heights.set(side, add(below, one.thickness))
      return [leafOn(panel, one, part, below)]
    })
  })
}

function shapesOn({ strip, section, pieces }: Made): readonly SewnOn[] {
  const plies = new Map(section.plies.map(({ role, thickness }) => [role, thickness]))
  return strip.shapes.map(({ piece: id, name, at: [left, top], width, height, face }, index) => {
    const piece = pieces.find(known => known.id === id)
    const fill = piece ? fillOf(piece.role) : 'other'
    return {
      ...{ id: `on:${id}:${index}`, name, face, ...(piece && { piece: id }) },
      thickness: longest(thinnest, (piece && plies.get(piece.role)) ?? zero),
      box: { left, top, right: add(left, width), bottom: add(top, height) },
      fills: [fill, piece && hasSides(piece.role) ? 'wrong-side' : fill],
    }
  })
}

const thinnest = mm(0.4)
/** How wide what is drawn as a line is shown, and how thick; where it lies is exact. */
const [lineWidth, lineThickness] = [mm(6), mm(1.2)]
const shownLines: ReadonlySet<StripLine['kind']> = new Set(['tie', 'ribbon', 'zip', 'elastic'])

function linesOn({ lines }: Strip): readonly SewnOn[] {
  const half = scale(lineWidth, 1 / 2)
  return lines.flatMap(({ kind, from, to, face = 'outside' }, index) => {
    const isUpright = from[0] === to[0]
    if (!shownLines.has(kind) || (!isUpright && from[1] !== to[1])) return []
    const [across, along] = isUpright ? [half, zero] : [zero, half]
    return [
      {
        ...{ id: `on:${kind}:${index}`, name: kind, face, thickness: lineThickness },
        box: {
          left: subtract(shortest(from[0], to[0]), across),
          right: add(longest(from[0], to[0]), across),
          top: subtract(shortest(from[1], to[1]), along),
          bottom: add(longest(from[1], to[1]), along),
        },
        fills: ['other', 'other'] as const,
        ...(kind === 'tie' && { heldAt: from }),
      },
    ]
  })
}

/** The panel at which something is held; at a fold the one that stays. */
function holderOf([x, y]: StripPoint, panels: readonly Leaf[], flaps: readonly string[]): Leaf | undefined {
  const there = panels.filter(({ onFlat, width, height }) => {
    if (!onFlat) return false
    const [left, top] = onFlat
    return x >= left - 1 && x <= left + width + 1 && y >= top - 1 && y <= top + height + 1
  })
  return there.find(({ id }) => !flaps.includes(id)) ?? there[0]
}

/** The part of a box that a panel carries: what it covers, and at the edges of the cover what hangs out there. */
function withinPanel(box: Box, { onFlat, width, height }: Leaf, strip: Strip): Box | undefined {
  if (!onFlat) return undefined
  const [x, y] = onFlat
  const isLast = x + width >= add(...strip.panels.map(panel => panel.width)) - 1
  const isLowest = y + height >= strip.height - 1
  const part = {
    left: x <= 1 ? box.left : longest(box.left, x),
    right: isLast ? box.right : shortest(box.right, add(x, width)),
    top: y <= 1 ? box.top : longest(box.top, y),
    bottom: isLowest ? box.bottom : shortest(box.bottom, add(y, height)),
  }
  return part.right > part.left && part.bottom > part.top ? part : undefined
}

/** A leaf is seen from inside, so what is at the right of the flat cover is at its left. */
function leafOn(
  panel: Leaf,
  { id, name, piece, thickness, face, fills }: SewnOn,
  part: Box,
  below: Length,
): Leaf {
  const [x, y] = panel.onFlat ?? [zero, zero]
  const [seen, under] = fills
  const at = [
    toMm(subtract(add(x, panel.width), part.right)),
    toMm(subtract(add(y, panel.height), part.bottom)),
    face === 'inside' ? toMm(add(below, thickness)) : -toMm(add(panel.thickness, below)),
  ] as const
  return {
    ...{ id: `${id}:${panel.id}`, name, thickness, at, stitches: [] },
    ...(piece !== undefined && { piece }),
    width: subtract(part.right, part.left),
    height: subtract(part.bottom, part.top),
    ...(face === 'inside'
      ? { inside: seen, outside: under }
      : { inside: under, outside: seen, onFlat: [part.left, part.top] as const }),
    joined: { kind: 'on', to: panel.id },
  }
}

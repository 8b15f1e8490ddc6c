import type { Section } from '../families/section.js'
import { placePanels, totalWidth, type PlacedPanel, type Strip } from '../families/strip.js'
import { add, scale, subtract, toMm, zero, type Length } from '../length/length.js'
import type { Piece } from '../piece/piece.js'
import type { Leaf, LeafEdge } from './leaf.js'

/** The finished cover as leaves that hang on each other, and how far each is folded when it is closed. */
export interface PanelLeaves {
  readonly leaves: readonly Leaf[]
  /** The leaf that lies on the table. */
  readonly root: string
  readonly flaps: readonly string[]
  /** Degrees, of all that hang by a hinge; of a second wall, that it lies face down on the first. */
  readonly closed: Readonly<Record<string, number>>
}

interface Made {
  readonly strip: Strip
  readonly section: Section
  readonly pieces: readonly Piece[]
}

/** The leaf of a panel of the strip. */
export function leafOf(panel: string): string {
  return `panel:${panel}`
}

/**
 * Flaps fold over, the cover turns at each side of the spine; a gap beside it shares that turn. It is seen from inside, so
 * the panels run the other way than in the strip.
 */
export function panelLeaves(made: Made): PanelLeaves {
  const { strip, section } = made
  const panels = placePanels(strip.panels).toReversed()
  if (panels.some(({ kind }) => kind === 'wall')) return wallLeaves(made, panels)
  const rows = rowsOf(strip)
  if (rows.length > 1) return rowLeaves(made, rows)
  const wrapsOver = panels.findIndex(({ kind }) => kind === 'fore-edge')
  // What lies over everything in the end is folded last, so what it hangs on is what lies below.
  const root = wrapsOver >= 0 ? wrapsOver + 1 : panels.findLastIndex(({ kind }) => kind !== 'flap')
  const hung = (panel: PlacedPanel, index: number): Leaf => {
    const leaf = leafFor(panel, made)
    const [edge, inner]: readonly [LeafEdge, PlacedPanel | undefined] =
      index < root ? ['left', panels[index + 1]] : ['right', panels[index - 1]]
    if (index === root || !inner) return leaf
    const room = panel.kind === 'flap' && wrapsOver < 0 ? scale(section.board, 1 / 2) : zero
    return { ...leaf, joined: { kind: 'hinge', to: leafOf(inner.id), edge, room } }
  }
  const angle = (panel: PlacedPanel, index: number) => {
    const inner = panels[index < root ? index + 1 : index - 1]
    if (panel.kind === 'flap') return inner?.kind === 'fore-edge' ? 90 : 180
    return panel.kind === 'gap' || inner?.kind === 'gap' ? 45 : 90
  }
  // Each after the one that it hangs on.
  const order = panels
    .map((_, index) => index)
    .toSorted((one, other) => Math.abs(one - root) - Math.abs(other - root))
  return {
    leaves: order.flatMap(index => (panels[index] ? [hung(panels[index], index)] : [])),
    root: leafOf(panels[root]?.id ?? ''),
    flaps: panels.filter(({ kind }) => kind === 'flap' && wrapsOver < 0).map(({ id }) => leafOf(id)),
    closed: Object.fromEntries(
      panels.flatMap((panel, index) =>
        index === root ? [] : [[leafOf(panel.id), angle(panel, index)] as const],
      ),
    ),
  }
}

function leafFor({ id, name, kind, width, x }: PlacedPanel, { strip, section, pieces }: Made): Leaf {
  const ownFlap =
    kind === 'flap' ? pieces.find(piece => piece.id === 'flap' || piece.id === 'flap-outer') : undefined
  const flaps = section.flap?.plies ?? section.plies
  return {
    id: leafOf(id),
    name,
    piece: ownFlap?.id ?? 'outer',
    width,
    height: strip.height,
    thickness: thicknessOf(ownFlap ? flaps : section.plies),
    inside: ownFlap?.id === 'flap' ? 'outside' : 'inside',
    outside: 'outside',
    onFlat: [x, zero],
    at: [0, 0, 0],
    stitches: [],
  }
}

function thicknessOf(plies: Section['plies']): Length {
  return add(...plies.map(({ thickness }) => thickness))
}

/** A pouch: the second wall lies face down on the first, as far from it as the thing is thick. */
function wallLeaves(made: Made, panels: readonly PlacedPanel[]): PanelLeaves {
  const [front, back] = [panels.at(0), panels.at(-1)]
  if (!front || !back) return { leaves: [], root: '', flaps: [], closed: {} }
  const bulk = toMm(thicknessOf(made.section.plies))
  return {
    leaves: [
      leafFor(back, made),
      { ...leafFor(front, made), joined: { kind: 'on', to: leafOf(back.id) }, at: [0, 0, bulk] },
    ],
    root: leafOf(back.id),
    flaps: [],
    closed: { [leafOf(front.id)]: 180 },
  }
}

interface Row {
  readonly id: string
  readonly height: Length
}

/** Where a body is folded across, from its lower end up; one row where it is not. */
function rowsOf({ panels, lines, height }: Strip): readonly Row[] {
  const width = totalWidth(panels)
  const folds = lines
    .filter(({ kind, from, to }) => kind === 'fold' && from[1] === to[1] && to[0] - from[0] >= width - 1)
    .map(({ from }) => from[1])
    .toSorted((one, other) => other - one)
  const ends = [height, ...folds, zero]
  return ends
    .slice(1)
    .map((end, index) => ({ id: `row-${index + 1}`, height: subtract(ends[index] ?? end, end) }))
}

/** A case that folds across: each row turns up from the one below. */
function rowLeaves(made: Made, rows: readonly Row[]): PanelLeaves {
  const [body] = placePanels(made.strip.panels)
  if (!body) return { leaves: [], root: '', flaps: [], closed: {} }
  const whole = leafFor(body, made)
  const names = ['back', 'fold', 'front']
  return {
    leaves: rows.map(({ id, height }, index): Leaf => {
      const above = add(zero, ...rows.slice(index + 1).map(row => row.height))
      const leaf = {
        ...whole,
        id: leafOf(id),
        name: names[index] ?? 'row',
        height,
        onFlat: [body.x, above] as const,
      }
      const below = rows[index - 1]
      return below
        ? { ...leaf, joined: { kind: 'hinge', to: leafOf(below.id), edge: 'top', room: zero } }
        : leaf
    }),
    root: leafOf(rows[0]?.id ?? ''),
    flaps: [],
    closed: Object.fromEntries(rows.slice(1).map(({ id }) => [leafOf(id), 90])),
  }
}

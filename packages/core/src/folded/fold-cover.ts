import { add, longest, mm, subtract, toMm, zero, type Length } from '../length/length.js'
import type { Joining } from '../families/joining.js'
import { totalWidth } from '../families/strip.js'
import type { Piece } from '../piece/piece.js'
import { printPlaces, type PrintPlace } from '../cutting/print-places.js'
import { namePiece } from '../extras/name-piece.js'
import { fillOf } from '../drawing/ply-fill.js'
import { hasSides } from '../drawing/joining-drawing.js'
import type { Cover } from '../file/cover.js'
import type { Plan } from '../plan/plan.js'
import type { Folded, Leaf, Place, Pose, Stage } from './leaf.js'
import { panelLeaves, type PanelLeaves } from './panel-leaves.js'
import { pileLeaves, reachOf, type PileLeaf, type PileParts } from './pile-leaves.js'
import { sewnOnLeaves } from './sewn-on-leaves.js'
import { thingLeaves, thingSize, type ThingLeaf } from './thing-leaves.js'

type Poses = Readonly<Record<string, Pose>>

/**
 * A planned cover coming together: its pieces on the table, each joining as a pile and closed, the cover as it comes out
 * of it, its flaps folded, the thing put in, closed. Sizes are those of the plan; how far things are lifted is not said.
 */
export function foldCover(cover: Cover, plan: Plan): Folded {
  const places = printPlaces(plan)
  const table = placedOnFlat(tableLeaves(plan.pieces), places)
  const parts = partsOf(cover, plan)
  const piles = plan.joinings.map(joining => ({ joining, leaves: pileLeaves(joining, parts) }))
  const panels = centredPanels(panelLeaves(plan))
  const sewnOn = sewnOnLeaves(plan, panels)
  const things = thingLeaves(cover, plan, panels)
  return {
    leaves: [
      ...table,
      ...piles.flatMap(({ leaves }) =>
        centred(
          placedOnFlat(
            leaves.map(({ leaf }) => leaf),
            places,
          ),
        ),
      ),
      ...panels.leaves,
      ...sewnOn,
      ...things.map(({ leaf }) => leaf),
    ],
    stages: [
      {
        id: 'pieces',
        name: 'The pieces on the table, right sides up',
        pile: [],
        poses: Object.fromEntries(table.map(({ id }) => [id, { angle: 180 }])),
      },
      ...piles.flatMap(({ joining, leaves }) => pileStages(joining, leaves)),
      ...coverStages(plan, panels, things).map(withAll(sewnOn)),
    ],
  }
}

/** Pieces that lie there as they are cut know where they come to lie on the flat cover. */
function placedOnFlat(leaves: readonly Leaf[], places: readonly PrintPlace[]): readonly Leaf[] {
  return leaves.map((leaf, index) => {
    const copy = leaves.slice(0, index).filter(({ piece }) => piece === leaf.piece).length + 1
    const place = places.find(known => known.piece === leaf.piece && known.copy === copy)
    const isWhole = place?.width === leaf.width && place.height === leaf.height
    return isWhole ? { ...leaf, onFlat: [place.x, place.y] } : leaf
  })
}

/** Between the layers of a pile that is still apart. */
const apartMm = 16
/** How far above its place a thing comes from. */
const liftMm = 120

function pileStages(joining: Joining, leaves: readonly PileLeaf[]): readonly Stage[] {
  const pile = joining.layers.map(({ name, face }) => `${name}, ${face}`)
  const posesAt = (gap: number): Poses =>
    Object.fromEntries(
      leaves.map(({ leaf, level, angle }) => [leaf.id, { angle, shift: [0, 0, level * gap] as const }]),
    )
  const seen = `Seen from ${joining.seenFrom}`
  return [
    { id: `${joining.id}-pile`, name: joining.name, pile, poses: posesAt(apartMm) },
    {
      id: joining.id,
      name: `${joining.how === 'glue' ? 'Glued' : joining.edges.length > 0 ? 'Sewn' : 'Together'}. ${seen}`,
      pile,
      poses: posesAt(0),
    },
  ]
}

function coverStages(
  { joinings }: Plan,
  panels: PanelLeaves,
  things: readonly ThingLeaf[],
): readonly Stage[] {
  const flat: Poses = Object.fromEntries(
    panels.leaves.map(({ id }) => [id, isOn(panels, id) ? { angle: 180 } : {}]),
  )
  const flapped: Poses = { ...flat, ...Object.fromEntries(panels.flaps.map(id => [id, { angle: 180 }])) }
  const turns = joinings.some(({ opening }) => opening !== undefined)
  const outside = things.map(({ leaf, from }) => [leaf.id, { shift: from }] as const)
  const inside = things.map(({ leaf }) => [leaf.id, {}] as const)
  const closed: Poses = Object.fromEntries(
    panels.leaves.map(({ id }) => [id, { angle: panels.closed[id] ?? 0 }]),
  )
  const wide = wallsApart(panels, things)
  return [
    {
      id: 'cover',
      name: turns
        ? 'Turned right side out through the opening, laid flat, inside up'
        : 'The cover laid flat, inside up',
      pile: [],
      ...(turns && { isScheme: true as const }),
      poses: { ...flat, ...gone(outside) },
    },
    ...(panels.flaps.length > 0
      ? [
          {
            id: 'flaps-over',
            name: 'The flaps folded over',
            pile: [],
            poses: { ...flapped, ...gone(outside) },
          },
        ]
      : []),
    {
      id: 'thing-there',
      name: 'What it is for, beside its place',
      pile: [],
      poses: { ...flapped, ...wide, ...Object.fromEntries(outside) },
    },
    {
      id: 'thing-in',
      name: 'Put in',
      pile: [],
      poses: { ...flapped, ...wide, ...Object.fromEntries(inside) },
    },
    { id: 'closed', name: 'Closed', pile: [], poses: { ...closed, ...wide, ...Object.fromEntries(inside) } },
  ]
}

/** What is sewn on is there once the cover is, and goes where that goes. */
function withAll(leaves: readonly Leaf[]): (stage: Stage) => Stage {
  const there: Poses = Object.fromEntries(leaves.map(({ id }) => [id, {}]))
  return stage => ({ ...stage, poses: { ...stage.poses, ...there } })
}

function gone(poses: readonly (readonly [string, Pose])[]): Poses {
  return Object.fromEntries(
    poses.map(([id, pose]) => [id, { shift: raised(pose.shift ?? [0, 0, 0]), shown: 0 }]),
  )
}

function raised([x, y, z]: Place): Place {
  return [x, y, z + liftMm]
}

/** A wall that lies on another. */
function isOn({ leaves }: PanelLeaves, id: string): boolean {
  return leaves.some(leaf => leaf.id === id && leaf.joined?.kind === 'on')
}

/** Walls stand as far apart as the thing is thick once it is to go between them. */
function wallsApart(panels: PanelLeaves, things: readonly ThingLeaf[]): Poses {
  const thick = Math.max(0, ...things.map(({ leaf }) => toMm(leaf.thickness)))
  return Object.fromEntries(
    panels.leaves
      .filter(({ id }) => isOn(panels, id))
      .map(({ id }) => [id, { angle: 180, shift: [0, 0, thick] as const }]),
  )
}

/** Each piece as often as it is cut, in rows. */
function tableLeaves(pieces: readonly Piece[]): readonly Leaf[] {
  const rowWidth = longest(zero, ...pieces.map(({ width }) => width.cut), rowFor(pieces))
  let [x, y, high]: [Length, Length, Length] = [zero, zero, zero]
  const leaves = pieces.flatMap(piece =>
    Array.from({ length: Math.min(piece.count, mostCopies) }, (_, copy): Leaf => {
      const { width, height } = { width: piece.width.cut, height: piece.height.cut }
      if (x > zero && add(x, width) > rowWidth) [x, y, high] = [zero, add(y, high, between), zero]
      const at = [toMm(x), -toMm(add(y, height)), 0] as const
      x = add(x, width, between)
      high = longest(high, height)
      const fill = fillOf(piece.role)
      return {
        ...{ id: `table:${piece.id}:${copy}`, name: namePiece(piece.id), piece: piece.id },
        ...{ width, height, thickness: mm(0.5), at, stitches: [] },
        ...{ inside: hasSides(piece.role) ? 'wrong-side' : fill, outside: fill },
      }
    }),
  )
  const low = Math.min(0, ...leaves.map(({ at }) => at[1]))
  return centred(leaves.map(leaf => ({ ...leaf, at: [leaf.at[0], leaf.at[1] - low, leaf.at[2]] })))
}

/** Wide enough for rows that together are about twice as wide as high. */
function rowFor(pieces: readonly Piece[]): Length {
  const area = pieces.reduce(
    (sum, { width, height, count }) => sum + toMm(width.cut) * toMm(height.cut) * Math.min(count, mostCopies),
    0,
  )
  return mm(Math.sqrt(area) * 1.5)
}

const between = mm(20)
/** What is cut more often than this is shown this often. */
const mostCopies = 4

/** About the middle of the table. */
function centred(leaves: readonly Leaf[]): readonly Leaf[] {
  const [wide, high] = reachOf(leaves)
  return leaves.map(leaf => ({ ...leaf, at: [leaf.at[0] - wide / 2, leaf.at[1] - high / 2, leaf.at[2]] }))
}

/** Laid so that the cover closes on the middle of the table. */
function centredPanels(panels: PanelLeaves): PanelLeaves {
  return {
    ...panels,
    leaves: panels.leaves.map(leaf =>
      leaf.id === panels.root ? { ...leaf, at: [-toMm(leaf.width) / 2, -toMm(leaf.height) / 2, 0] } : leaf,
    ),
  }
}

function partsOf(cover: Cover, { pieces, settled, strip, section, joinings }: Plan): PileParts {
  const gap = strip.lines
    .filter(({ kind }) => kind === 'opening')
    .map(({ from, to }) => add(subtract(to[0], from[0]), subtract(to[1], from[1])))
  const plies = new Map(section.plies.map(({ role, thickness }) => [role, thickness]))
  return {
    pieces,
    seam: settled.seam,
    opening: joinings.some(({ opening }) => opening) ? add(...gap) : zero,
    thing: thingSize(cover, { section, strip }),
    flat: totalWidth(strip.panels),
    flap: longest(zero, ...strip.panels.filter(({ kind }) => kind === 'flap').map(({ width }) => width)),
    thicknessOf: ({ role }) => plies.get(role) ?? section.boards?.thickness ?? mm(0.5),
  }
}

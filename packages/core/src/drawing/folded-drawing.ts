import { cornersOf, placeLeaves, pointOn, type PlacedLeaf } from '../folded/frame.js'
import type { Folded, Place } from '../folded/leaf.js'
import { add, longest, mm, scale, shortest, subtract, toMm, zero, type Length } from '../length/length.js'
import { line, type Drawing, type Fill, type Mark, type PathMark, type Point } from './drawing.js'

export interface FoldedView {
  /** For left-handed work: as in a mirror. */
  readonly mirrored?: boolean
}

/** From the front, a little from the left, and from above. */
const azimuth = (-25 * Math.PI) / 180
const height = (40 * Math.PI) / 180
/** Towards the eye. */
const eye: Place = [
  Math.sin(azimuth) * Math.cos(height),
  -Math.cos(azimuth) * Math.cos(height),
  Math.sin(height),
]

/** A cover coming together, at one moment, drawn aslant with parallel lines: all lengths along one direction to one scale. */
export function drawFolded(folded: Folded, time: number, { mirrored = false }: FoldedView = {}): Drawing {
  const there = backToFront(placeLeaves(folded, time).filter(({ shown }) => shown > 1 / 2))
  const marks = there.flatMap(placed => drawLeaf(placed, mirrored))
  const stage = folded.stages[Math.round(Math.max(0, Math.min(time, folded.stages.length - 1)))]
  return { title: `${stage?.name ?? ''}. Drawn aslant.`, ...boundsOf(marks), marks, plainCloth: true }
}

const faces: readonly { readonly corners: readonly number[]; readonly of: 'inside' | 'outside' | 'edge' }[] =
  [
    { corners: [0, 1, 2, 3], of: 'inside' },
    { corners: [7, 6, 5, 4], of: 'outside' },
    { corners: [4, 5, 1, 0], of: 'edge' },
    { corners: [5, 6, 2, 1], of: 'edge' },
    { corners: [6, 7, 3, 2], of: 'edge' },
    { corners: [7, 4, 0, 3], of: 'edge' },
  ]

function drawLeaf(placed: PlacedLeaf, mirrored: boolean): readonly Mark[] {
  const { leaf } = placed
  const corners = cornersOf(placed)
  const fills: Readonly<Record<(typeof faces)[number]['of'], Fill>> = {
    inside: leaf.inside,
    outside: leaf.outside,
    edge: leaf.piece === undefined ? 'leaves' : leaf.outside,
  }
  const looksIn = dot(placed.inside, eye) > 0
  return [
    ...faces.flatMap(({ corners: which, of }) => {
      const face = which.map(index => corners[index] ?? placed.at)
      return dot(normalOf(face), eye) > 0 ? [drawFace(face, fills[of], leaf.piece, mirrored)] : []
    }),
    ...leaf.stitches.map(({ kind, from, to }) => {
      const z = looksIn ? 0 : -toMm(leaf.thickness)
      const at = ([x, y]: readonly [Length, Length]) =>
        project(pointOn(placed, toMm(x), toMm(y), z), mirrored)
      return line(at(from), at(to), kind)
    }),
  ]
}

function drawFace(
  face: readonly Place[],
  fill: Fill,
  piece: string | undefined,
  mirrored: boolean,
): PathMark {
  const [start = [mm(0), mm(0)], ...steps] = face.map(place => project(place, mirrored))
  return {
    kind: 'path',
    start,
    steps: steps.map(to => ({ to })),
    closed: true,
    style: 'edge',
    fill,
    ...(piece !== undefined && { piece }),
  }
}

function project([x, y, z]: Place, mirrored: boolean): Point {
  const across = x * Math.cos(azimuth) + y * Math.sin(azimuth)
  const away = -x * Math.sin(azimuth) + y * Math.cos(azimuth)
  return [mm(mirrored ? -across : across), mm(-(z * Math.cos(height) + away * Math.sin(height)))]
}

function boundsOf(marks: readonly Mark[]): Pick<Drawing, 'from' | 'width' | 'height'> {
  const points = marks.flatMap(mark =>
    mark.kind === 'path' ? [mark.start, ...mark.steps.map(({ to }) => to)] : [],
  )
  const ends = (axis: 0 | 1): readonly [Length, Length] => {
    const values = points.map(point => point[axis])
    return [shortest(zero, ...values), longest(zero, ...values)]
  }
  const [left, right] = ends(0)
  const [top, bottom] = ends(1)
  const margin = mm(4)
  return {
    from: [subtract(left, margin), subtract(top, margin)],
    width: add(subtract(right, left), scale(margin, 2)),
    height: add(subtract(bottom, top), scale(margin, 2)),
  }
}

/**
 * In an order in which what is nearer covers what is farther. Of two leaves that do not go through one another, one lies
 * wholly on one side of the other's plane, which tells which is in front.
 */
function backToFront(leaves: readonly PlacedLeaf[]): readonly PlacedLeaf[] {
  const left = leaves.toSorted((one, other) => depthOf(one) - depthOf(other))
  const drawn: PlacedLeaf[] = []
  while (left.length > 0) {
    const free = left.findIndex(leaf => left.every(other => other === leaf || !isBehind(other, leaf)))
    drawn.push(...left.splice(Math.max(0, free), 1))
  }
  return drawn
}

function depthOf(placed: PlacedLeaf): number {
  const corners = cornersOf(placed)
  return corners.reduce((sum, corner) => sum + dot(corner, eye), 0) / corners.length
}

/** Whether a leaf must be drawn before another. */
function isBehind(one: PlacedLeaf, other: PlacedLeaf): boolean {
  return sideOf(one, other) === 'far' || (sideOf(one, other) === 'both' && sideOf(other, one) === 'near')
}

/** On which side of the other a leaf lies, as the eye sees it. */
function sideOf(one: PlacedLeaf, other: PlacedLeaf): 'near' | 'far' | 'both' {
  const facing = dot(other.inside, eye) >= 0 ? 1 : -1
  const thick = toMm(other.leaf.thickness)
  const away = cornersOf(one).map(corner => dot(minus(corner, other.at), other.inside))
  // In front of the face that looks at the eye, or behind the one that looks away.
  const above = away.every(distance => distance >= -touching)
  const below = away.every(distance => distance <= -thick + touching)
  if (above) return facing > 0 ? 'near' : 'far'
  if (below) return facing > 0 ? 'far' : 'near'
  return 'both'
}

/** Faces that touch may overlap by this much, in millimetres. */
const touching = 0.6

function normalOf([first, second, , last]: readonly Place[]): Place {
  return first && second && last ? cross(minus(second, first), minus(last, first)) : [0, 0, 0]
}

function minus(from: Place, what: Place): Place {
  return [from[0] - what[0], from[1] - what[1], from[2] - what[2]]
}

function dot(one: Place, other: Place): number {
  return one[0] * other[0] + one[1] * other[1] + one[2] * other[2]
}

function cross([a, b, c]: Place, [x, y, z]: Place): Place {
  return [b * z - c * y, c * x - a * z, a * y - b * x]
}

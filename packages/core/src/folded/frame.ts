import { toMm } from '../length/length.js'
import type { Folded, Leaf, LeafEdge, Place, Pose } from './leaf.js'

/** Where a leaf is: its lower left corner of the inside, and which way its width, its height and its inside look. */
export interface Frame {
  readonly at: Place
  readonly right: Place
  readonly up: Place
  readonly inside: Place
}

export interface PlacedLeaf extends Frame {
  readonly leaf: Leaf
  /** From 0, not there, to 1. */
  readonly shown: number
}

/** The table. */
const table: Frame = { at: [0, 0, 0], right: [1, 0, 0], up: [0, 1, 0], inside: [0, 0, 1] }

/**
 * Every leaf that is there at a time between the first stage (0) and the last, each where its hinges have it. Half way
 * between two stages leaves are half way between their poses, beginning and ending gently. Beyond the ends the end holds.
 * With `all` those that are not there come too, where they are next or were before.
 */
export function placeLeaves(
  folded: Folded,
  time: number,
  { all = false }: { readonly all?: boolean } = {},
): readonly PlacedLeaf[] {
  const frames = new Map<string, Frame>()
  return folded.leaves.flatMap(leaf => {
    const pose = poseAt(folded, leaf.id, time)
    const on = leaf.joined ? (frames.get(leaf.joined.to) ?? table) : table
    const placed = place(leaf, pose, on, folded)
    frames.set(leaf.id, placed)
    return all || pose.shown > 0 ? [{ ...placed, leaf, shown: pose.shown }] : []
  })
}

/** A corner or any other place on a leaf: from the lower left corner of its inside, in millimetres. */
export function pointOn({ at, right, up, inside }: Frame, x: number, y: number, z = 0): Place {
  return sum(at, times(right, x), times(up, y), times(inside, z))
}

/** Every corner of a leaf, in millimetres: four of its inside, then four of its outside. */
export function cornersOf(placed: PlacedLeaf): readonly Place[] {
  const [wide, high, thick] = [placed.leaf.width, placed.leaf.height, placed.leaf.thickness].map(toMm) as [
    number,
    number,
    number,
  ]
  return [0, -thick].flatMap(z => [
    pointOn(placed, 0, 0, z),
    pointOn(placed, wide, 0, z),
    pointOn(placed, wide, high, z),
    pointOn(placed, 0, high, z),
  ])
}

/** What a picture must show: the middle of what is there, and how far that reaches from it, in millimetres. */
export interface Outlook {
  readonly middle: Place
  readonly reach: number
}

/**
 * What a picture must show at a time. Between two stages it goes over gently from one to the other, wider where what is there
 * all the while reaches further on its way.
 */
export function outlookAt(folded: Folded, time: number): Outlook {
  const last = folded.stages.length - 1
  const within = Math.max(0, Math.min(time, last))
  const [before, after] = [Math.floor(within), Math.ceil(within)].map(stage =>
    outlookOf(placeLeaves(folded, stage)),
  )
  if (!before || !after) return { middle: [0, 0, 0], reach: 1 }
  const share = gently(within - Math.floor(within))
  const middle = sum(times(before.middle, 1 - share), times(after.middle, share))
  const staying = placeLeaves(folded, time).filter(({ shown }) => shown === 1)
  const reaches = staying.flatMap(cornersOf).map(corner => Math.hypot(...sum(corner, times(middle, -1))))
  return { middle, reach: Math.max(before.reach + (after.reach - before.reach) * share, ...reaches) }
}

function outlookOf(there: readonly PlacedLeaf[]): Outlook {
  const corners = there.flatMap(cornersOf)
  const ends = ([0, 1, 2] as const).map(axis => {
    const places = corners.map(corner => corner[axis])
    return [Math.min(...places), Math.max(...places)] as const
  })
  const middle = ends.map(([low, high]) => (low + high) / 2) as unknown as Place
  return { middle, reach: Math.hypot(...ends.map(([low, high]) => (high - low) / 2)) }
}

function poseAt({ stages }: Folded, leaf: string, time: number): Required<Pose> {
  const last = stages.length - 1
  const within = Math.max(0, Math.min(time, last))
  const index = Math.min(Math.floor(within), Math.max(0, last - 1))
  // What a stage says nothing of is not there; it comes and goes where it is next, or was before.
  const [before, after] = [wholePose(stages[index]?.poses[leaf]), wholePose(stages[index + 1]?.poses[leaf])]
  // What a stage says nothing of is not there; it comes and goes where it is next, or was before.
  const share = gently(within - index)
  const between = (from: number, to: number) => from + (to - from) * share
  const [from, to] = [before ?? after ?? there, after ?? before ?? there]
  return {
    angle: between(from.angle, to.angle),
    shift: [0, 1, 2].map(axis => between(from.shift[axis] ?? 0, to.shift[axis] ?? 0)) as unknown as Place,
    shown: between(before?.shown ?? 0, after?.shown ?? 0),
  }
}

const there: Required<Pose> = { angle: 0, shift: [0, 0, 0], shown: 1 }

function wholePose(pose: Pose | undefined): Required<Pose> | undefined {
  return pose && { ...there, ...pose }
}

function gently(share: number): number {
  return share * share * (3 - 2 * share)
}

function place(leaf: Leaf, { angle, shift }: Required<Pose>, on: Frame, folded: Folded): Frame {
  const { joined, at } = leaf
  const from = sum(at, shift)
  if (joined?.kind !== 'hinge') return turnedOver({ ...on, at: pointOn(on, ...from) }, leaf, angle)
  const parent = folded.leaves.find(({ id }) => id === joined.to)
  return parent ? hinged(leaf, parent, { edge: joined.edge, room: toMm(joined.room), angle, shift }, on) : on
}

/** Turned about its own upright middle; where it lies, so it goes on lying. */
function turnedOver(frame: Frame, { width, thickness }: Leaf, degrees: number): Frame {
  if (degrees === 0) return frame
  const middle = pointOn(frame, toMm(width) / 2, 0, -toMm(thickness) / 2)
  const right = turn(frame.right, frame.inside, degrees)
  const inside = turn(frame.inside, times(frame.right, -1), degrees)
  return {
    ...frame,
    right,
    inside,
    at: sum(middle, times(right, -toMm(width) / 2), times(inside, toMm(thickness) / 2)),
  }
}

interface Hinge {
  readonly edge: LeafEdge
  readonly room: number
  readonly angle: number
  readonly shift: Place
}

/** About an axis along an edge of the parent, `room` above its inside: at 180° the two insides are twice that apart. */
function hinged(leaf: Leaf, parent: Leaf, { edge, room, angle, shift }: Hinge, on: Frame): Frame {
  const [wide, high] = [toMm(parent.width), toMm(parent.height)]
  const sideways = edge === 'left' || edge === 'right'
  const outwards = edge === 'right' || edge === 'top' ? 1 : -1
  const away = times(sideways ? on.right : on.up, outwards)
  const corner: readonly [number, number] = edge === 'right' ? [wide, 0] : edge === 'top' ? [0, high] : [0, 0]
  const axis = pointOn(on, ...corner, room)
  const out = turn(away, on.inside, angle)
  const inside = turn(on.inside, times(away, -1), angle)
  const along = sideways ? on.up : on.right
  // Its corner nearest to the axis, with its inside `room` away from it; its lower left corner may be the far one.
  const near = sum(axis, times(inside, -room), times(along, shift[sideways ? 1 : 0]))
  const far = outwards === 1 ? near : sum(near, times(out, toMm(sideways ? leaf.width : leaf.height)))
  const ahead = times(out, outwards)
  return sideways
    ? { at: far, right: ahead, up: on.up, inside }
    : { at: far, right: on.right, up: ahead, inside }
}

/** `from` turned by some degrees towards `towards`, which is square to it. */
function turn(from: Place, towards: Place, degrees: number): Place {
  const radians = (degrees * Math.PI) / 180
  return sum(times(from, Math.cos(radians)), times(towards, Math.sin(radians)))
}

function sum(...places: readonly Place[]): Place {
  return places.reduce((all, one) => [all[0] + one[0], all[1] + one[1], all[2] + one[2]], [0, 0, 0])
}

function times([x, y, z]: Place, factor: number): Place {
  return [x * factor, y * factor, z * factor]
}

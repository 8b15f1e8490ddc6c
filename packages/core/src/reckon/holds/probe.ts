import { layFor } from '../../drawing/turn-over.js'
import type { Cover } from '../../file/cover.js'
import type { Face, Strip } from '../../families/strip.js'
import { absolute, add, clamp, mm, roundTo, scale, subtract, type Length } from '../../length/length.js'
import { plan, type Plan } from '../../plan/plan.js'
import { setOn, type Settable } from './setting.js'
import { edgesOf, middleOf, type StripEdge } from './strip-edges.js'

/** A setting tried: what the flat cover becomes where it is longer by `step` (shorter where that is below nought). */
export interface Probe {
  readonly settable: Settable & { readonly value: Length }
  readonly step: Length
  readonly before: Strip
  readonly after: Strip
  /** How far each edge goes for it, seen from the middle of the body; edges that stay are left out. */
  readonly moved: readonly { readonly edge: StripEdge; readonly by: Length }[]
}

/** Cut sizes go up to the grid: a step of whole grids moves an edge by just as much. */
const grids = 4

/**
 * Tries a setting on a planned cover. One that was found in another way than by a length is given the length that comes
 * to the same cover; undefined where there is none, or where nothing in the picture moves.
 */
export function probe(cover: Cover, planned: Plan, face: Face, settable: Settable): Probe | undefined {
  const before = layFor(planned.strip, face)
  const value = settable.value ?? valueBehind(cover, before, face, settable)
  if (value === undefined) return undefined
  const { min, max } = settable.range
  const length = scale(cover.grid, grids)
  const step = add(value, length) <= max ? length : subtract(clamp(subtract(value, length), min, max), value)
  if (step === 0) return undefined
  const after = stripWith(cover, face, settable, add(value, step))
  const moved = movesBetween(before, after, face).filter(({ by }) => absolute(by) * mostGain > absolute(step))
  return { settable: { ...settable, value }, step, before, after, moved }
}

/** What moves less than this share of a setting is moved by something else, and only takes part. */
const mostGain = 6

function stripWith(cover: Cover, face: Face, { setting }: Settable, length: Length): Strip {
  return layFor(plan(setOn(cover, setting, length)).strip, face)
}

function movesBetween(before: Strip, after: Strip, face: Face): Probe['moved'] {
  const [from, to] = [middleOf(before), middleOf(after)]
  const late = new Map(edgesOf(after, face).map(edge => [edge.key, edge]))
  return edgesOf(before, face).flatMap(edge => {
    const then = late.get(edge.key)
    if (!then) return []
    const axis = edge.axis === 'x' ? 0 : 1
    return [{ edge, by: subtract(subtract(then.at, to[axis]), subtract(edge.at, from[axis])) }]
  })
}

/**
 * The length that stands behind a cover where none is said: an edge that goes along with the setting tells how far the
 * setting is from a guess, and the cover is planned with what it tells, to see.
 */
function valueBehind(cover: Cover, before: Strip, face: Face, settable: Settable): Length | undefined {
  const { min, max } = settable.range
  const guess = clamp(mm(60), min, max)
  const step = scale(cover.grid, grids)
  const other = add(guess, step) <= max ? add(guess, step) : clamp(subtract(guess, step), min, max)
  if (other === guess) return undefined
  const [first, second] = [guess, other].map(
    length =>
      new Map(
        movesBetween(before, stripWith(cover, face, settable, length), face).map(at => [at.edge.key, at.by]),
      ),
  )
  const candidates = [...(first ?? [])].flatMap(([key, by]) => {
    const rate = ((second?.get(key) ?? by) - by) / (other - guess)
    return Math.abs(rate) * mostGain > 1 ? [roundTo(subtract(guess, scale(by, 1 / rate)), mm(1 / 320))] : []
  })
  return [...new Set(candidates)]
    .slice(0, mostTried)
    .find(
      length =>
        length >= min &&
        length <= max &&
        movesBetween(before, stripWith(cover, face, settable, length), face).every(
          ({ by }) => absolute(by) < near,
        ),
    )
}

const mostTried = 3
const near = mm(0.1)

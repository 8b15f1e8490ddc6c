import type { Dimension } from '../../drawing/strip-dimensions.js'
import { dimensionOf, panelDimension } from '../../drawing/strip-dimensions.js'
import { layFor } from '../../drawing/turn-over.js'
import type { Cover } from '../../file/cover.js'
import type { Face, StripPoint } from '../../families/strip.js'
import { add, scale, subtract, type Length } from '../../length/length.js'
import type { Plan } from '../../plan/plan.js'
import { findCarries, type Carry } from './carries.js'
import { probe, type Probe } from './probe.js'
import { listSettable, type Setting } from './setting.js'
import { middleOf, type EdgeOf, type StripEdge } from './strip-edges.js'

/** A setting that has a value, and so can be changed in the picture. */
export type Held = Probe['settable']

/** An edge of the flat cover that can be pulled. */
export interface Pull {
  readonly held: Held
  readonly axis: 'x' | 'y'
  /** On which side of the middle of the body it lies: -1 left or above, 1 right or below. */
  readonly side: -1 | 0 | 1
  /** The edge; a point where it is none. */
  readonly from: StripPoint
  readonly to: StripPoint
  /** Where to take hold of it. */
  readonly at: StripPoint
  /** How much longer the setting gets for each length that the edge is pulled to the right, or down. */
  readonly gain: number
}

/** A dimension of the flat cover that follows a setting, and how much longer it gets for each length of that. */
export interface SettableSize {
  readonly dimension: Dimension
  readonly size: Length
  readonly held: Held
  readonly rate: number
}

/** Where the flat cover can be taken hold of. */
export interface Holds {
  readonly pulls: readonly Pull[]
  readonly sizes: readonly SettableSize[]
  readonly carries: readonly Carry[]
}

/**
 * What of a planned cover can be set in the picture of one face, and where. Nobody says which edge belongs to which
 * option: each setting is tried a little longer, and the edges that go with it are found. One plan for each setting.
 */
export function findHolds(cover: Cover, planned: Plan, face: Face): Holds {
  const probes = listSettable(cover, planned).flatMap(settable => probe(cover, planned, face, settable) ?? [])
  const pulled = probes.map(tried => ({ tried, pulls: pullsOf(tried) }))
  // What has no edge of its own in the picture is no way to set a size there.
  const shown = pulled.filter(({ pulls }) => pulls.length > 0).map(({ tried }) => tried)
  return {
    pulls: apart(
      pulled.flatMap(({ pulls }) => pulls),
      planned.strip,
    ),
    sizes: sizesOf(planned, shown),
    carries: findCarries(cover, planned, face),
  }
}

/** The place in the picture of one face that stays where it is when something is pulled: the middle of the body. */
export function stillPoint({ strip }: Pick<Plan, 'strip'>, face: Face): StripPoint {
  return middleOf(layFor(strip, face))
}

/** Of what a setting moves, the first kind here is what it is about; the rest goes with it. */
const order: readonly EdgeOf[] = ['panel', 'shape', 'corner', 'cut', 'line', 'area', 'hole']
const kindsFor: Readonly<Record<Setting['kind'], readonly EdgeOf[]>> = {
  option: order,
  sizing: ['panel'],
  // Rounding to the grid may pass some of a seam on to the cover: it is about what is cut all the same.
  seam: ['cut'],
  // What is added to a cover is about itself, though it may make the cover wider.
  extra: ['shape', 'line', 'hole', 'corner'],
}

/** An edge goes as far as its setting, or half of that at each of two ends, or the setting is of half the cover. */
const plainGains = [1, 2, 1 / 2]

function plainOf(gain: number): number | undefined {
  const plain = plainGains.find(known => Math.abs(Math.abs(gain) - known) < 0.01)
  return plain === undefined ? undefined : Math.sign(gain) * plain
}

function pullsOf({ settable, step, before, moved }: Probe): readonly Pull[] {
  const kinds = kindsFor[settable.setting.kind]
  const kind = kinds.find(of => moved.some(({ edge }) => edge.of === of))
  const middle = middleOf(before)
  // Of the edges on one side of the middle the nearest is the one that is set; those beyond it are carried along.
  const nearest = new Map<string, Pull & { readonly away: number }>()
  for (const { edge, by } of moved) {
    const gain = plainOf(step / by)
    if (edge.of !== kind || gain === undefined) continue
    const { axis, from, to } = edge
    const off = edge.at - middle[axis === 'x' ? 0 : 1]
    const side = Math.sign(off) as Pull['side']
    const away = Math.abs(off)
    if (away < (nearest.get(`${axis} ${side}`)?.away ?? Infinity))
      nearest.set(`${axis} ${side}`, {
        held: settable,
        axis,
        side,
        from,
        to,
        at: along(edge, 1 / 2),
        gain,
        away,
      })
  }
  return [...nearest.values()].map(({ away: _away, ...pull }) => pull)
}

function along({ from, to }: Pick<StripEdge, 'from' | 'to'>, share: number): StripPoint {
  const between = (axis: 0 | 1) => add(from[axis], scale(subtract(to[axis], from[axis]), share))
  return [between(0), between(1)]
}

/** Several settings may move one edge, or edges side by side: each is taken hold of at a height of its own. */
function apart(pulls: readonly Pull[], { height }: Pick<Plan['strip'], 'height'>): readonly Pull[] {
  const near = scale(height, 1 / 12)
  return pulls.map((pull, index) => {
    const place = pull.axis === 'x' ? 0 : 1
    const beside = pulls
      .slice(0, index)
      .filter(({ axis, from }) => axis === pull.axis && Math.abs(from[place] - pull.from[place]) < near)
    return { ...pull, at: along(pull, shares[beside.length % shares.length] ?? 1 / 2) }
  })
}

/** Clear of each other, and of the names of the panels. */
const shares = [1 / 2, 7 / 10, 3 / 20, 17 / 20, 3 / 5]

/** Each dimension with the setting that it follows most; of several alike the first. */
function sizesOf({ strip }: Plan, probes: readonly Probe[]): readonly SettableSize[] {
  const dimensions: readonly Dimension[] = [
    'width',
    'height',
    ...strip.panels.map(({ id }) => panelDimension(id)),
  ]
  return dimensions.flatMap(dimension => {
    const followed = probes.flatMap(({ settable, step, before, after }) => {
      const [size, then] = [dimensionOf(before, dimension), dimensionOf(after, dimension)]
      if (size === undefined || then === undefined || settable.setting.kind === 'seam') return []
      const rate = plainOf((then - size) / step) ?? 0
      return rate > 0 ? [{ dimension, size, held: settable, rate }] : []
    })
    const [first, ...others] = followed
    if (!first) return []
    return [others.reduce((best, next) => (next.rate > best.rate ? next : best), first)]
  })
}

import type { Drawing, Mark } from '@snowdrift/core'
import { toMm } from '@snowdrift/core'
import { layerOf, layers } from './layer.js'
import { placesAlong, segmentsOf, type Place } from './segments.js'

/** Plotter units: a fortieth of a millimetre. */
const perMm = 40

/**
 * For plotters and cutting machines: a pen for each layer, in the order cut, fold, stitch, mark; cutting comes last, so that
 * nothing moves before it is marked. Words are left out: a knife writes badly. y goes up from the lower edge.
 */
export function writeHpgl(drawing: Drawing): string {
  const high = toMm(drawing.height)
  const [left, top] = drawing.from.map(toMm) as [number, number]
  const unit = ([x, y]: Place) =>
    `${Math.round((x - left) * perMm)},${Math.round((high - (y - top)) * perMm)}`
  const pens = layers.toReversed().flatMap(layer => {
    const strokes = drawing.marks.filter(mark => layerOf(mark) === layer).flatMap(strokesOf)
    return strokes.length === 0
      ? []
      : [`SP${layers.indexOf(layer) + 1};`, ...strokes.map(places => stroke(places.map(unit)))]
  })
  return ['IN;PA;', ...pens, 'PU0,0;SP0;', ''].join('\n')
}

function stroke([first = '0,0', ...rest]: readonly string[]): string {
  return `PU${first};PD${rest.join(',')};`
}

function strokesOf(mark: Mark): readonly (readonly Place[])[] {
  if (mark.kind === 'text') return []
  const segments = segmentsOf(mark)
  const [first] = segments
  if (!first) return []
  return [
    [
      first.from,
      ...segments.flatMap(segment => (segment.kind === 'arc' ? placesAlong(segment) : [segment.to])),
    ],
  ]
}

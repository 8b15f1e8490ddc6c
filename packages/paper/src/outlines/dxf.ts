import { toMm, type Drawing, type Mark } from '@snowdrift/core'
import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf'
import { layerOf, layers, type Layer } from './layer.js'
import { placeOf, segmentsOf, type Segment } from './segments.js'

const colours: Readonly<Record<Layer, number>> = {
  cut: Colors.Red,
  fold: Colors.Blue,
  stitch: Colors.Green,
  mark: Colors.White,
}

/** In millimetres, y up from the lower edge; a layer each for cut, fold, stitch and mark, words on the last. */
export function writeDxf(drawing: Drawing): string {
  const writer = new DxfWriter()
  writer.setUnits(Units.Millimeters)
  for (const layer of layers) writer.addLayer(layer, colours[layer])
  const high = toMm(drawing.height)
  const [left, top] = placeOf(drawing.from)
  const at = ([x, y]: readonly [number, number]) => ({ x: x - left, y: high - (y - top) })
  for (const mark of drawing.marks) addMark(writer, mark, at)
  return writer.stringify()
}

type At = (place: readonly [number, number]) => { readonly x: number; readonly y: number }

function addMark(writer: DxfWriter, mark: Mark, at: At): void {
  const layerName = layerOf(mark)
  if (mark.kind === 'text') {
    const { x, y } = at(placeOf(mark.at))
    writer.addText(point3d(x, y), mark.size === 'small' ? 3.5 : 5, plainly(mark.text), {
      layerName,
      ...(mark.turned && { rotation: 90 }),
    })
    return
  }
  const segments = segmentsOf(mark)
  const last = segments.at(-1)
  if (!last) return
  const corner = (place: readonly [number, number]) => {
    const { x, y } = at(place)
    return point2d(x, y)
  }
  const vertices = segments.map(segment => ({ point: corner(segment.from), bulge: bulgeOf(segment) }))
  const isClosed = mark.kind === 'path' && mark.closed
  writer.addLWPolyline(isClosed ? vertices : [...vertices, { point: corner(last.to) }], {
    layerName,
    flags: isClosed ? LWPolylineFlags.Closed : LWPolylineFlags.None,
  })
}

/** The tangent of a quarter of the arc’s angle, less than nothing where it runs clockwise; nothing where it is straight. */
function bulgeOf(segment: Segment): number {
  if (segment.kind === 'straight') return 0
  const { from, to, radius, clockwise } = segment
  const chord = Math.hypot(to[0] - from[0], to[1] - from[1])
  const angle = 2 * Math.asin(Math.min(1, chord / (2 * radius)))
  return (clockwise ? -1 : 1) * Math.tan(angle / 4)
}

/** One line without control characters; what DXF of that age cannot write is given by its number. */
function plainly(text: string): string {
  return Array.from(text.replaceAll(/[\p{Cc}]+/gu, ' ').replaceAll('\u2044', '/'), letter => {
    const code = letter.codePointAt(0) ?? 32
    return code < 128 ? letter : `\\U+${code.toString(16).toUpperCase().padStart(4, '0')}`
  }).join('')
}

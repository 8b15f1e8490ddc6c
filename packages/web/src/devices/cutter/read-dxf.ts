import DxfParser from 'dxf-parser'
import { Unreadable, type Outline, type Place, type Stroke } from './outline'

/** As the parser gives it; what is not there is not said. */
interface Entity {
  readonly type: string
  readonly layer?: string
  readonly shape?: boolean
  readonly vertices?: readonly { readonly x: number; readonly y: number; readonly bulge?: number }[]
  readonly center?: { readonly x: number; readonly y: number }
  readonly radius?: number
  readonly startAngle?: number
  readonly endAngle?: number
}

/** Millimetres in a unit of the drawing, by the number that its header has. */
const unitsMm: Readonly<Record<number, number>> = { 0: 1, 1: 25.4, 4: 1, 5: 10 }

/** Follows a drawing exchange file: lines, polylines with bulges, circles and arcs. */
export function readDxf(text: string): Outline {
  const { entities, header } = parse(text)
  const unit = unitsMm[Number(header?.$INSUNITS ?? 4)]
  if (unit === undefined)
    throw new Unreadable(
      `Expected a drawing in millimetres, centimetres or inches; its unit is ${String(header?.$INSUNITS)}.`,
    )
  const strokes: Stroke[] = []
  const ignored = new Map<string, number>()
  for (const entity of entities) {
    const places = placesOf(entity)
    if (places)
      strokes.push({ layer: entity.layer ?? '0', places: places.map(([x, y]) => [x * unit, y * unit]) })
    else ignored.set(entity.type, (ignored.get(entity.type) ?? 0) + 1)
  }
  return { strokes, ignored: [...ignored].map(([type, count]) => `${count} × ${type}`) }
}

function parse(text: string) {
  try {
    const drawing = new DxfParser().parseSync(text)
    if (drawing) return drawing as { entities: readonly Entity[]; header?: Readonly<Record<string, unknown>> }
  } catch {
    // Said below: what the parser stumbled over says nothing to a maker.
  }
  throw new Unreadable('This DXF is cut short or damaged: it cannot be read to its end.')
}

function placesOf(entity: Entity): readonly Place[] | undefined {
  const { type, vertices = [], center, radius = 0 } = entity
  if (type === 'LINE') return vertices.map(({ x, y }) => [x, y])
  if (type === 'LWPOLYLINE' || type === 'POLYLINE') return alongBulges(vertices, entity.shape === true)
  if (type === 'CIRCLE' && center) return round(center, radius, 0, 2 * Math.PI)
  if (type === 'ARC' && center) return round(center, radius, entity.startAngle ?? 0, entity.endAngle ?? 0)
  return undefined
}

/** A bulge is the tangent of a quarter of the angle that the arc to the next corner spans; left turns are positive. */
function alongBulges(vertices: NonNullable<Entity['vertices']>, isClosed: boolean): readonly Place[] {
  const [first] = vertices
  if (!first) return []
  const corners = isClosed ? [...vertices, first] : vertices
  const places: Place[] = [[first.x, first.y]]
  for (const [index, to] of corners.slice(1).entries()) {
    const from = corners[index] ?? first
    const bulge = from.bulge ?? 0
    if (bulge !== 0) places.push(...arcBetween([from.x, from.y], [to.x, to.y], 4 * Math.atan(bulge)))
    places.push([to.x, to.y])
  }
  return places
}

const steps = 24

/** Places on the arc from one to the other that turns by `angle`, both ends left out. */
function arcBetween([x, y]: Place, [x2, y2]: Place, angle: number): readonly Place[] {
  const [dx, dy] = [x2 - x, y2 - y]
  const off = 1 / (2 * Math.tan(angle / 2))
  const [cx, cy] = [(x + x2) / 2 - dy * off, (y + y2) / 2 + dx * off]
  return Array.from({ length: steps - 1 }, (_, n): Place => {
    const turn = (angle * (n + 1)) / steps
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
    return [cx + (x - cx) * cos - (y - cy) * sin, cy + (x - cx) * sin + (y - cy) * cos]
  })
}

function round(
  { x, y }: { readonly x: number; readonly y: number },
  radius: number,
  from: number,
  to: number,
): readonly Place[] {
  const turn = to > from ? to - from : to - from + 2 * Math.PI
  const count = 2 * steps
  return Array.from({ length: count + 1 }, (_, n): Place => {
    const angle = from + (turn * n) / count
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
  })
}

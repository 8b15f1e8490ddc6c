import { XMLParser } from 'fast-xml-parser'
import { mostPlaces, Unreadable, type Outline, type Place, type Stroke } from './outline'

const perMm: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, px: 25.4 / 96, '': 25.4 / 96 }
/** The shapes that a knife follows, and all of them that says where they go. */
const shapes = new Set(['path', 'line', 'polyline', 'polygon', 'rect', 'circle', 'ellipse'])
const geometry = 'd x y width height rx ry cx cy r x1 y1 x2 y2 points'.split(' ')
const silent = new Set(['title', 'desc', 'metadata', '?xml', '#text'])
/** How far the knife goes between two places on a curve. */
const stepMm = 0.5
const deepest = 60

/** An element as the parser gives it: its children under its name, its attributes beside them. */
type Node = Readonly<Record<string, unknown>> & { readonly ':@'?: Readonly<Record<string, string>> }

/**
 * Follows an SVG: its shapes, layer by layer, as their groups are called. It is read as plain text, and of each shape
 * nothing but its places comes near the page: nothing in it runs, and nothing that it names is fetched.
 */
export function readSvg(text: string): Outline {
  const svg = rootOf(text)
  const view = viewOf(svg[':@'] ?? {})
  const strokes: Stroke[] = []
  const ignored = new Map<string, number>()
  const ignore = (what: string) => ignored.set(what, (ignored.get(what) ?? 0) + 1)
  let places = 0
  const follow = (nodes: readonly Node[], layer: string, moved: DOMMatrix, depth: number) => {
    if (depth > deepest) throw new Unreadable(`This SVG has groups in groups, more than ${deepest} deep.`)
    for (const node of nodes) {
      const name = nameOf(node)
      const attributes = node[':@'] ?? {}
      if (silent.has(name)) continue
      if (name !== 'g' && !shapes.has(name)) {
        ignore(name)
        continue
      }
      const to = movedBy(attributes.transform, moved)
      if (!to) ignore(`${name} that is moved in a way nobody can read`)
      else if (name === 'g') follow(childrenOf(node), attributes.id ?? layer, to, depth + 1)
      else {
        const stroke = along(name, attributes, to, view)
        places += stroke.length
        if (places > mostPlaces)
          throw new Unreadable('This SVG has more strokes than a machine takes at once.')
        if (stroke.length > 1) strokes.push({ layer, places: stroke })
      }
    }
  }
  follow(childrenOf(svg), 'no layer', new DOMMatrix(), 0)
  return { strokes, ignored: [...ignored].map(([what, count]) => `${count} × ${what}`) }
}

function rootOf(text: string): Node {
  const svg = nodesOf(text)?.find(node => nameOf(node) === 'svg')
  if (!svg) throw new Unreadable('This SVG is cut short or damaged: it cannot be read to its end.')
  return svg
}

function nodesOf(text: string): readonly Node[] | undefined {
  const parser = new XMLParser({
    preserveOrder: true,
    ignoreAttributes: false,
    attributeNamePrefix: '',
    processEntities: false,
    parseAttributeValue: false,
  })
  try {
    // The parser forgives what is missing at the end; a knife must not.
    return /<\/svg>\s*$/.test(text) ? (parser.parse(text) as readonly Node[]) : undefined
  } catch {
    return undefined
  }
}

function nameOf(node: Node): string {
  return Object.keys(node).find(key => key !== ':@') ?? ''
}

function childrenOf(node: Node): readonly Node[] {
  const children = node[nameOf(node)]
  return Array.isArray(children) ? (children as readonly Node[]) : []
}

interface View {
  readonly left: number
  readonly bottom: number
  readonly scale: number
}

/** Where the drawing stands, and what one of its units is in millimetres. */
function viewOf({ width: said = '', viewBox = '' }: Readonly<Record<string, string>>): View {
  const [, amount, unit = ''] = /^([\d.]+)(mm|cm|in|px)?$/.exec(said) ?? []
  const box = viewBox.split(/[\s,]+/).map(Number)
  const [left = 0, top = 0, width = 0, height = 0] = box
  if (!amount || box.length !== 4 || !(width > 0) || !(height > 0))
    throw new Unreadable(
      'This SVG does not say how large it is: expected a width with a unit, and a viewBox.',
    )
  return { left, bottom: top + height, scale: (Number(amount) * (perMm[unit] ?? 1)) / width }
}

const moves = /^\s*((matrix|translate|scale|rotate|skewX|skewY)\s*\([\d\s.,eE+-]*\)[\s,]*)*$/

/** How a shape is moved, turned and stretched within what holds it; undefined where the browser cannot read it. */
function movedBy(said: string | undefined, within: DOMMatrix): DOMMatrix | undefined {
  if (said === undefined || said.trim() === '') return within
  if (!moves.test(said)) return undefined
  const holder = ofOurs('g') as SVGGElement
  holder.setAttribute('transform', said)
  const matrix = holder.transform.baseVal.consolidate()?.matrix
  return matrix && within.multiply(DOMMatrix.fromMatrix(matrix))
}

/** An element in no page: the browser reads and measures it, and nothing more. */
function ofOurs(name: string): Element {
  return document.createElementNS('http://www.w3.org/2000/svg', name)
}

function along(
  name: string,
  attributes: Readonly<Record<string, string>>,
  moved: DOMMatrix,
  { left, bottom, scale }: View,
): readonly Place[] {
  // The browser knows every kind of curve.
  const shape = ofOurs(name) as SVGGeometryElement
  for (const key of geometry) if (attributes[key] !== undefined) shape.setAttribute(key, attributes[key])
  const length = shape.getTotalLength()
  const stretched = Math.max(Math.hypot(moved.a, moved.b), Math.hypot(moved.c, moved.d))
  const long = length * scale * stretched
  if (!Number.isFinite(long) || long > 1_000_000) throw new Unreadable('A stroke in this SVG has no end.')
  const count = Math.max(1, Math.ceil(long / stepMm))
  return Array.from({ length: count + 1 }, (_, n): Place => {
    const { x, y } = moved.transformPoint(shape.getPointAtLength((length * n) / count))
    return [(x - left) * scale, (bottom - y) * scale]
  })
}

import { totalWidth, type Strip } from '../families/strip.js'
import { type Length } from '../length/length.js'

/** A size that is written in the flat picture: of one panel, of the whole body across its panels, or the height. */
export type Dimension = `panel:${string}` | 'width' | 'height'

/** How long a dimension of the strip is; undefined where it has no such panel. */
export function dimensionOf(strip: Strip, dimension: Dimension): Length | undefined {
  switch (dimension) {
    case 'height':
      return strip.height
    case 'width':
      return bodyWidth(strip)
    default:
      return strip.panels.find(({ id }) => panelDimension(id) === dimension)?.width
  }
}

export function panelDimension(id: string): Dimension {
  return `panel:${id}`
}

/** What goes round the closed thing: all panels but the flaps; of two walls one. */
export function bodyWidth({ panels }: Pick<Strip, 'panels'>): Length | undefined {
  const body = panels.filter(({ kind }) => kind !== 'flap')
  const [first] = body
  return first?.kind === 'wall' ? first.width : first && totalWidth(body)
}

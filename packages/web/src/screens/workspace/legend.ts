import { lineStyles, type LineStyle, type Plan } from '@snowdrift/core'

const legendWords = [
  ['seam', 'seam'],
  ['fold', 'fold'],
  ['stitch', 'stitching'],
  ['hem', 'hem'],
  ['zip', 'zip'],
  ['binding', 'binding'],
  ['quilting', 'quilting'],
  ['elastic', 'elastic'],
  ['slit', 'cut here'],
  ['opening', 'turning opening'],
  ['tie', 'ribbon or tie'],
] as const satisfies readonly (readonly [LineStyle, string])[]

/** The lines that a picture of the strip has, by how they are drawn; cut edges are in all of them. */
export function legendOf({ strip }: Pick<Plan, 'strip'>): readonly (readonly [LineStyle, string])[] {
  const drawn = new Set(strip.lines.map(({ kind }) => lineStyles[kind]))
  return [
    ['cut', 'cut edge'],
    ...(strip.areas.length > 0 ? [['hidden', 'layer inside'] as const] : []),
    ...legendWords.filter(([style]) => drawn.has(style)),
  ]
}

import { drawOnGrid, type Stroke } from '../drawing/grid-sketch.js'
import type { Drawing } from '../drawing/drawing.js'
import type { Step } from './step.js'

export const techniqueIds = [
  'ladder-stitch',
  'mitred-corner',
  'fusing-fleece',
  'strip-in-four',
  'zip-ends',
  'edge-stitch-opening',
  'threading-elastic',
  'stations',
] as const
export type TechniqueId = (typeof techniqueIds)[number]

/** A short card: what it is, how it goes, and its picture, not to scale. */
export interface Technique {
  readonly id: TechniqueId
  readonly name: string
  readonly how: readonly string[]
  readonly strokes: readonly Stroke[]
}

const row = (count: number, make: (index: number) => readonly Stroke[]): readonly Stroke[] =>
  Array.from({ length: count }, (_, index) => make(index)).flat()

export const techniques: Readonly<Record<TechniqueId, Technique>> = {
  'ladder-stitch': {
    id: 'ladder-stitch',
    name: 'Ladder stitch',
    how: [
      'Both folds meet. Come out of one fold, go straight across into the other.',
      'Run inside that fold for a stitch’s length, come out, straight across again.',
      'Pull after every few stitches: the rungs vanish.',
    ],
    strokes: [
      { line: [5, 18, 95, 18], style: 'fold' },
      { line: [5, 32, 95, 32], style: 'fold' },
      ...row(6, index => [
        { line: [14 + index * 14, 18, 14 + index * 14, 32], style: 'stitch' } as const,
        ...(index < 5
          ? [
              {
                line: [14 + index * 14, index % 2 ? 18 : 32, 28 + index * 14, index % 2 ? 18 : 32],
                style: 'hidden',
              } as const,
            ]
          : []),
      ]),
      { text: 'fold', at: [50, 12] },
      { text: 'fold', at: [50, 40] },
    ],
  },
  'mitred-corner': {
    id: 'mitred-corner',
    name: 'Mitred corner of a binding',
    how: [
      'Stop before the corner by the seam, back and forth, off the machine.',
      'Fold the strip straight up, its edge in line with the next side.',
      'Fold it down again, level with the first edge; begin at the edge.',
    ],
    strokes: [
      { line: [20, 45, 20, 15], style: 'edge' },
      { line: [20, 15, 90, 15], style: 'edge' },
      { line: [30, 45, 30, 25], style: 'binding' },
      { line: [30, 25, 90, 25], style: 'binding' },
      { line: [20, 15, 30, 25], style: 'fold' },
      { text: 'fold at 45°', at: [12, 9] },
    ],
  },
  'fusing-fleece': {
    id: 'fusing-fleece',
    name: 'Fusing fleece',
    how: [
      'Fleece, adhesive up; the panel on it, right side up.',
      'Through a damp cloth: press and lift, 10–15 s a place, each place over the last.',
      'Let it cool flat before it is moved.',
    ],
    strokes: [
      { box: [10, 36, 80, 6], style: 'edge', fill: 'padding' },
      { box: [10, 30, 80, 4], style: 'edge', fill: 'outer' },
      { box: [30, 14, 30, 12], style: 'object', fill: 'board' },
      { line: [45, 12, 45, 4], style: 'measure', arrow: 'end' },
      { text: 'lift, do not slide', at: [70, 8] },
      { text: 'fleece', at: [50, 46] },
    ],
  },
  'strip-in-four': {
    id: 'strip-in-four',
    name: 'Folding a strip in four',
    how: [
      'Press it in half along its length, open it again.',
      'Press both raw edges to the crease.',
      'Fold on the crease; stitch along both long edges.',
    ],
    strokes: [
      { box: [8, 6, 84, 16], style: 'edge', fill: 'inside' },
      { line: [8, 14, 92, 14], style: 'fold' },
      { line: [8, 10, 92, 10], style: 'hidden' },
      { line: [8, 18, 92, 18], style: 'hidden' },
      { box: [8, 32, 84, 5], style: 'edge', fill: 'outer' },
      { line: [8, 33, 92, 33], style: 'stitch' },
      { line: [8, 36, 92, 36], style: 'stitch' },
      { text: 'edges to the crease', at: [50, 27] },
      { text: 'folded, stitched twice', at: [50, 44] },
    ],
  },
  'zip-ends': {
    id: 'zip-ends',
    name: 'Zip ends in a side seam',
    how: [
      'Draw the pull to the middle; pin the open end together.',
      'Teeth towards the lining, side by side, where the seam crosses.',
      'Sew slowly across by hand wheel; trim the tails after.',
    ],
    strokes: [
      { line: [6, 25, 94, 25], style: 'zip' },
      { line: [78, 5, 78, 45], style: 'seam' },
      { box: [44, 21, 6, 8], style: 'object', fill: 'board' },
      { text: 'pull', at: [47, 14] },
      { text: 'seam', at: [84, 47] },
    ],
  },
  'edge-stitch-opening': {
    id: 'edge-stitch-opening',
    name: 'Edge-stitching an opening shut',
    how: [
      'Press the allowance in along the seam line, clip it.',
      'Begin before the opening, go all round, end after the beginning.',
      'At corners needle down, foot up, turn.',
    ],
    strokes: [
      { box: [10, 8, 80, 32], style: 'edge', fill: 'outer' },
      { line: [40, 40, 60, 40], style: 'opening' },
      { line: [12, 10, 88, 10], style: 'stitch' },
      { line: [88, 10, 88, 38], style: 'stitch' },
      { line: [88, 38, 12, 38], style: 'stitch' },
      { line: [12, 38, 12, 10], style: 'stitch' },
      { text: 'opening', at: [50, 46] },
    ],
  },
  'threading-elastic': {
    id: 'threading-elastic',
    name: 'Threading the elastic, hole by hole',
    how: [
      'From the outside into an end hole; down inside to the other end.',
      'Out there, a hop to the middle hole, in, up inside, out; a hop to the next.',
      'The ends meet where they began: pull until the case lies flat, knot so that it can be undone.',
    ],
    strokes: [
      { box: [30, 4, 40, 42], style: 'edge', fill: 'board' },
      ...row(3, index => [{ line: [40 + index * 10, 8, 40 + index * 10, 42], style: 'elastic' } as const]),
      { line: [40, 42, 50, 42], style: 'hidden' },
      { line: [50, 8, 60, 8], style: 'hidden' },
      { line: [20, 8, 38, 8], style: 'measure', arrow: 'end' },
      { text: 'in', at: [14, 8] },
      { text: 'hops lie outside', at: [50, 49] },
    ],
  },
  stations: {
    id: 'stations',
    name: 'Sewing a signature at its stations',
    how: [
      'Prick all stations through the fold and the spine with the template.',
      'In at the middle, out at the next, over to the end and back, past the middle to the other end.',
      'The thread meets at the middle; a knot over the long stitch, inside.',
    ],
    strokes: [
      { line: [50, 4, 50, 46], style: 'fold' },
      ...row(5, index => [{ box: [49, 7 + index * 9, 2, 2], style: 'hole', fill: 'none' } as const]),
      { line: [52, 26, 52, 17], style: 'stitch' },
      { line: [48, 17, 48, 8], style: 'hidden' },
      { line: [52, 26, 52, 35], style: 'stitch' },
      { line: [48, 35, 48, 44], style: 'hidden' },
      { line: [24, 26, 46, 26], style: 'measure', arrow: 'end' },
      { text: 'begin here', at: [16, 21] },
    ],
  },
}

/** The card’s picture; mirrored for the left hand. */
export function drawTechnique({ name, strokes }: Technique, { mirrored = false } = {}): Drawing {
  return drawOnGrid(name, strokes, mirrored)
}

/** The cards that a step may want. */
export function techniquesFor({ kind, id, place, tools }: Step): readonly TechniqueId[] {
  return [
    ...(kind === 'hand-sew' && !/signature|station/.test(id) ? (['ladder-stitch'] as const) : []),
    ...(id === 'sew-binding' || id === 'bind-mouths' ? (['mitred-corner'] as const) : []),
    ...(id.startsWith('fuse-padding') ? (['fusing-fleece'] as const) : []),
    ...(id.startsWith('fold-') && place === 'machine' ? (['strip-in-four'] as const) : []),
    ...(tools.includes('zip foot') && kind === 'sew' ? (['zip-ends'] as const) : []),
    ...(id === 'close-opening' && kind === 'topstitch' ? (['edge-stitch-opening'] as const) : []),
    ...(kind === 'thread' ? (['threading-elastic'] as const) : []),
    ...(id.startsWith('prick-stations') || id === 'sew-signatures' ? (['stations'] as const) : []),
  ]
}

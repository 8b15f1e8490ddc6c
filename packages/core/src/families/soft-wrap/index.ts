import { findingWhen, type Finding } from '../../finding/finding.js'
import { roundUpToGrid } from '../../length/grid.js'
import { add, zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { standOff } from '../../material/stand-off.js'
import { totalThickness } from '../../material/layer.js'
import { largestReading } from '../../object/reading.js'
import { defineFamily, type Job } from '../contract.js'
import { piled, type Joining } from '../joining.js'
import { plyOf } from '../section.js'
import { seamBulk } from '../seam.js'
import { options, resolveOptions, type ResolvedOptions, type SoftWrapOptions } from './options.js'
import { cutPieces, faceWidth } from './pieces.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const softWrap = defineFamily<SoftWrapOptions>({
  id: 'soft-wrap',
  version: 1,
  words,
  traits: ['journal', 'lined', 'folds-over'],
  suits,
  requiredReadings: [[['pageHeight']], [['pageWidth']]],
  boardCounts: false,
  severalObjects: false,
  ruleMeasures: [],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: () => ({ width: zero, height: zero }),
  options,
  resolveOptions,
  recipes: [],
  plan: job => {
    const resolved = resolveOptions(job)
    const pieces = cutPieces(job, resolved)
    const has = (id: string) => pieces.some(piece => piece.id === id)
    return {
      pieces,
      notions: [],
      standOff: { body: standOff(job.stack) },
      fits: [],
      findings: checkSpine(job, resolved),
      seams: [seamBulk('zigzagged edge', totalThickness(job.stack))],
      strip: layStrip(job, pieces, resolved),
      section: {
        title: 'The closed journal in its wrap, seen from the tail',
        width: faceWidth(job, resolved),
        thickness: resolved.spineWidth,
        board: zero,
        rounded: false,
        device: false,
        closing: 'over',
        plies: job.stack.map(plyOf),
        overlap: resolved.flap,
      },
      joinings: joinings(has('lining'), has('stiffener')),
    }
  },
})

/** Contents that are thicker than the spine leave no room to close. */
function checkSpine(
  { object, grid, inside }: Job<SoftWrapOptions>,
  { spineWidth }: ResolvedOptions,
): readonly Finding[] {
  const contents = add(largestReading(object, 'contentsThickness') ?? zero, inside)
  const spine = roundUpToGrid(contents, grid)
  return findingWhen(
    contents > spineWidth && largestReading(object, 'contentsThickness') !== undefined,
    'spine-too-thin',
    'option:spineWidth',
    { contents, inside: spineWidth, spine },
    { kind: 'set-option', option: 'spineWidth', name: 'spine', length: spine },
  )
}

function joinings(lining: boolean, stiffener: boolean): readonly Joining[] {
  return [
    {
      id: 'close-edge',
      name: 'Lay the layers together and zigzag round the raw edge',
      layers: [
        ...(lining ? [piled('lining', 'right side down')] : []),
        ...(stiffener
          ? [
              piled(
                'stiffener',
                'right side down',
                'left',
                'stiffener, card side to the outer, clear of the flap',
              ),
            ]
          : []),
        piled('outer', 'right side up'),
      ],
      edges: ['left', 'right', 'top', 'bottom'],
      how: 'stitch',
      seenFrom: 'the outside of the cover',
    },
  ]
}

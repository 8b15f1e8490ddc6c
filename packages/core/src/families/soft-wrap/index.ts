import { findingWhen, type Finding } from '../../finding/finding.js'
import { roundUpToGrid } from '../../length/grid.js'
import { add, mm, zero } from '../../length/length.js'
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

/** Plies so thin are the pocket itself, and nothing in it. */
const barePocket = mm(1)

/** Contents that are thicker than the spine close hard; soft work takes a step of the grid, and a pocket’s bare cloth. */
function checkSpine(
  { object, grid, inside }: Job<SoftWrapOptions>,
  { spineWidth }: ResolvedOptions,
): readonly Finding[] {
  const pockets = inside < barePocket ? zero : inside
  const contents = add(largestReading(object, 'contentsThickness') ?? zero, pockets)
  const spine = roundUpToGrid(contents, grid)
  const thick = contents > add(spineWidth, grid)
  const found = findingWhen(
    thick && largestReading(object, 'contentsThickness') !== undefined,
    'spine-too-thin',
    'option:spineWidth',
    { contents, inside: spineWidth, spine },
    { kind: 'set-option', option: 'spineWidth', name: 'spine', length: spine },
  )
  return found.map(finding => ({ ...finding, severity: 'warning' }))
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

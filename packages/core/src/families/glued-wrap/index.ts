import { zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { standOff } from '../../material/stand-off.js'
import { deriveBoard } from '../../object/derive.js'
import { wrappedBookReadings } from '../../object/required.js'
import { bookSection, checkWidthKnown } from '../book.js'
import { defineFamily } from '../contract.js'
import { piled, piledThing, type Joining } from '../joining.js'
import { plyOf } from '../section.js'
import { checkTurnIn } from '../turn-in.js'
import { outerOf } from '../../material/layer.js'
import { options, resolveOptions, type GluedWrapOptions, type ResolvedOptions } from './options.js'
import { cutPieces, glueFor, turnInsOf } from './pieces.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const gluedWrap = defineFamily<GluedWrapOptions>({
  id: 'glued-wrap',
  version: 1,
  words,
  traits: ['book', 'glued'],
  suits,
  requiredReadings: wrappedBookReadings,
  boardCounts: true,
  severalObjects: false,
  ruleMeasures: ['wrap'],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: () => ({ width: zero, height: zero }),
  options,
  resolveOptions,
  recipes: [],
  plan: job => {
    const { object, stack } = job
    const resolved = resolveOptions(job)
    const pieces = cutPieces(job, resolved)
    const turnIns = turnInsOf(job, resolved, pieces)
    return {
      pieces,
      notions: glueFor(pieces),
      standOff: { body: standOff(stack) },
      fits: [],
      findings: [
        ...checkTurnIn({
          comesOut: turnIns,
          board: deriveBoard(object).length,
          unit: job.unit,
          grid: job.grid,
          ...(job.sizing.mode === 'computed' && { decidedBy: { option: 'turnIn', asked: resolved.turnIn } }),
        }),
        ...(resolved.pastedown ? checkWidthKnown(object) : []),
      ],
      seams: [],
      strip: layStrip(job, pieces, { options: resolved, turnIns }),
      section: bookSection(object, stack, { depth: turnIns.width, plies: [plyOf(outerOf(stack))] }),
      joinings: joinings(resolved),
    }
  },
})

function joinings({ pastedown, order }: ResolvedOptions): readonly Joining[] {
  return [
    {
      id: 'glue-spine-and-boards',
      name:
        order === 'spine-first'
          ? 'Spine first, then each board, smoothed outwards from it'
          : 'One board, into its groove, across the spine, then the other board',
      layers: [piled('outer', 'right side down'), piledThing('the book, on its spine', 'middle')],
      edges: [],
      how: 'glue',
      seenFrom: 'the wrong side of the cloth',
    },
    {
      id: 'turn-in',
      name: 'Corners, then edges, with the board half shut; the tongues behind the spine',
      layers: [
        piledThing('the board, inside up', 'middle'),
        piled('outer', 'right side up', 'both ends', 'the turn-ins'),
      ],
      edges: ['left', 'right', 'top', 'bottom'],
      how: 'glue',
      seenFrom: 'the inside of the board',
    },
    ...(pastedown
      ? [
          {
            id: 'pastedowns',
            name: 'A pastedown over the turn-ins of each board',
            layers: [
              piledThing('the board, inside up'),
              piled('outer', 'right side up', 'both ends', 'the turn-ins'),
              piled('pastedown', 'right side up', 'middle'),
            ],
            edges: [],
            how: 'glue',
            seenFrom: 'the inside of the board',
          } as const,
        ]
      : []),
  ]
}

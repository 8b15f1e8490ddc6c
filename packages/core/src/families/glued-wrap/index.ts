import { zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { standOff } from '../../material/stand-off.js'
import { wrappedBookReadings } from '../../object/required.js'
import { bookSection } from '../book.js'
import { defineFamily } from '../contract.js'
import { piled, piledThing, type Joining } from '../joining.js'
import { plyOf } from '../section.js'
import { outerOf } from '../../material/layer.js'
import { options, resolveOptions, type GluedWrapOptions } from './options.js'
import { cutPieces, glueFor } from './pieces.js'
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
  ruleMeasures: [],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: () => ({ width: zero, height: zero }),
  options,
  resolveOptions,
  recipes: [],
  plan: job => {
    const { object, stack } = job
    const resolved = resolveOptions(job)
    const pieces = cutPieces(job, resolved)
    return {
      pieces,
      notions: glueFor(pieces),
      standOff: { body: standOff(stack) },
      fits: [],
      findings: [],
      seams: [],
      strip: layStrip(job, pieces, resolved),
      section: bookSection(object, stack, { depth: resolved.turnIn, plies: [plyOf(outerOf(stack))] }),
      joinings: joinings(resolved.pastedown),
    }
  },
})

function joinings(pastedown: boolean): readonly Joining[] {
  return [
    {
      id: 'glue-spine-and-boards',
      name: 'Spine first, then each board, smoothed outwards from it',
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

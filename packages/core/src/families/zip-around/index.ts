import { scale } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf, totalThickness } from '../../material/layer.js'
import { wrappedBookReadings } from '../../object/required.js'
import type { Piece } from '../../piece/piece.js'
import { bookSection } from '../book.js'
import { defineFamily } from '../contract.js'
import { piled, type Joining } from '../joining.js'
import { drawnFlapPlies, flapPliesOf, flapThickness } from '../flap-plies.js'
import { caughtIn, seamBulk } from '../seam.js'
import { takenFrom } from '../sized.js'
import { checkZipAround } from './checks.js'
import { options, resolveOptions, type ZipAroundOptions } from './options.js'
import { cutPieces, notionsFor } from './pieces.js'
import { sizeBody, zipEase } from './size.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const zipAround = defineFamily<ZipAroundOptions>({
  id: 'zip-around',
  version: 1,
  words,
  traits: ['book', 'flaps', 'seamed', 'lined', 'zipped'],
  suits,
  requiredReadings: wrappedBookReadings,
  besideOldCover: [[['thickness']]],
  boardCounts: true,
  severalObjects: false,
  ruleMeasures: ['wrap'],
  defaultSeam: unit => customary(3 / 8, unit),
  defaultEase: zipEase,
  options,
  resolveOptions,
  recipes: [],
  plan: job => {
    const { object, stack, seam } = job
    const resolved = resolveOptions(job)
    const body = sizeBody(job, resolved)
    const pieces = cutPieces(job, body, resolved)
    const { flapDepth } = resolved
    const flap = flapPliesOf(job, resolved.flapStyle)
    const piping = scale(outerOf(stack).thickness, 2)
    return {
      pieces,
      notions: notionsFor(job, body),
      standOff: { body: body.bulk, flap: body.flapBulk },
      fits: [body.fitWidth, body.fitHeight],
      findings: checkZipAround(job, body, resolved),
      allowances: takenFrom(body, { width: body.fitWidth.finished, height: body.fitHeight.finished }),
      seams: [
        seamBulk(
          'seam at gusset, piping and flap',
          totalThickness(stack),
          caughtIn(
            stack.filter(({ role }) => role === 'outer' || role === 'lining'),
            seam,
          ),
          piping,
          flapThickness(flap),
        ),
      ],
      strip: layStrip(job, body, pieces, resolved),
      section: {
        ...bookSection(object, stack, { depth: flapDepth, plies: drawnFlapPlies(flap) }),
        closing: 'zip',
      },
      joinings: joinings(pieces),
    }
  },
})

/** Gusset, flaps, lining: each pass on or inside the last line, from the foam side, so that the piping tightens. */
function joinings(pieces: readonly Piece[]): readonly Joining[] {
  const has = (id: string) => pieces.some(piece => piece.id === id)
  const foam = has('padding') ? [piled('padding', 'right side down')] : []
  const base = [
    ...foam,
    piled('outer', 'right side up'),
    piled('piping', 'right side up', 'both ends', 'piping, cord inwards'),
  ]
  const flap = has('flap-outer') ? 'flap-outer' : 'flap'
  const seenFrom = has('padding') ? 'the foam' : 'the wrong side of the outer'
  const round = ['left', 'right', 'top', 'bottom'] as const
  return [
    {
      id: 'gusset',
      name: 'Gusset to the piped outer: middles, straights, corners last',
      layers: [...base, piled('gusset', 'right side down', undefined, 'gusset with its zip')],
      edges: round,
      how: 'stitch',
      seenFrom,
    },
    {
      id: 'flaps',
      name: 'Flaps left and right; outside up, the left flap goes on the right',
      layers: [
        ...base,
        piled('gusset', 'right side down'),
        piled(flap, 'right side down', 'both ends', 'flaps, folds to the middle'),
      ],
      edges: round,
      how: 'stitch',
      seenFrom,
    },
    ...(has('lining')
      ? [
          {
            id: 'lining',
            name: 'Centre lining over the flaps, then turn through the flaps',
            layers: [
              ...base,
              piled('gusset', 'right side down'),
              piled(flap, 'right side down', 'both ends', 'flaps'),
              piled('lining', 'right side down', 'middle'),
            ],
            edges: ['top', 'bottom'],
            how: 'stitch',
            seenFrom,
          } as const,
        ]
      : []),
  ]
}

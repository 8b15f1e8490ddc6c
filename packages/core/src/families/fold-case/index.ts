import { findingWhen } from '../../finding/finding.js'
import { checkFit } from '../../fit/fit.js'
import { add, negate, scale, subtract, zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf } from '../../material/layer.js'
import type { Piece } from '../../piece/piece.js'
import { defineFamily, type Job } from '../contract.js'
import { deviceEase, deviceOf, deviceReadings, checkThicknessKnown, pouchSection } from '../device.js'
import { clothOf } from '../../material/cut-from.js'
import { piled, type Joining } from '../joining.js'
import { caughtIn, seamBulk } from '../seam.js'
import { takenFrom } from '../sized.js'
import { allRound, level, openingAtSide, plainStrip, type Strip, type StripShape } from '../strip.js'
import { options, resolveOptions, type FoldCaseOptions } from './options.js'
import { cutPieces, notionsFor } from './pieces.js'
import { recipes } from './recipes.js'
import { sizeBody, type Body } from './size.js'
import { suits, words } from './words.js'

export const foldCase = defineFamily<FoldCaseOptions>({
  id: 'fold-case',
  version: 1,
  words,
  traits: ['device', 'turned', 'seamed', 'lined', 'folds-over'],
  suits,
  requiredReadings: deviceReadings,
  besideOldCover: [[['height']]],
  boardCounts: false,
  severalObjects: false,
  ruleMeasures: ['device'],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: () => deviceEase,
  defaultInset: role => (role === 'padding' ? zero : undefined),
  options,
  resolveOptions,
  recipes,
  plan: job => {
    const { stack, seam, object, inside } = job
    const resolved = resolveOptions(job)
    const body = sizeBody(job)
    const pieces = cutPieces(job, body, resolved)
    const device = deviceOf(object, inside)
    return {
      pieces,
      notions: notionsFor(job, body, resolved),
      standOff: { body: body.bulk },
      fits: [body.fitWidth, body.fitLength],
      findings: [
        ...checkFit(body.fitWidth),
        ...checkFit(body.fitLength),
        ...checkThicknessKnown(object),
        ...findingWhen(outerOf(stack).print === 'one-way', 'print-over-fold', 'layer:outer', {
          join: scale(seam, 2),
        }),
      ],
      allowances: takenFrom(
        { width: body.width, height: body.length },
        { width: body.fitWidth.finished, height: body.fitLength.finished },
      ),
      seams: [seamBulk('side seam at the pocket', caughtIn(stack, seam), pocketPlies(job))],
      strip: layStrip(job, body, pieces),
      section: {
        ...pouchSection({ ...device, width: device.height }, stack, 'open'),
        title: 'The device in its case, seen from the side',
      },
      joinings: joinings(pieces),
    }
  },
})

function pocketPlies(job: Job<FoldCaseOptions>) {
  return scale(clothOf(job, 'pocket', 'lining')?.thickness ?? zero, 2)
}

/** One panel, its fold across the middle: the pocket inside below it, the zip pocket outside above. */
function layStrip(job: Job<FoldCaseOptions>, body: Body, pieces: readonly Piece[]): Strip {
  const width = body.fitWidth.finished
  const high = body.fitLength.finished
  const edge = add(job.seam, body.turnedEdge)
  const { thickness } = deviceOf(job.object, job.inside)
  const half = scale(subtract(high, thickness), 1 / 2)
  const pocket = pieces.find(({ id }) => id === 'pocket')
  const low = pieces.find(({ id }) => id === 'zip-pocket-low')
  const pocketHigh = pocket ? subtract(pocket.height.cut, edge) : zero
  const shapes: readonly StripShape[] = [
    ...(pocket
      ? [
          {
            piece: 'pocket',
            name: 'pocket',
            face: 'inside',
            at: [zero, subtract(high, pocketHigh)],
            width,
            height: pocketHigh,
          } as const,
        ]
      : []),
    ...(low
      ? [
          {
            piece: 'zip-pocket-low',
            name: 'zip pocket',
            face: 'outside',
            at: [zero, subtract(half, low.height.cut)],
            width,
            height: low.height.cut,
          } as const,
        ]
      : []),
  ]
  const opening = customary(4, job.unit)
  const from = scale(half, 1 / 4)
  return {
    ...plainStrip([{ id: 'body', name: 'case', kind: 'body', width }], high),
    cutPieces: [
      { piece: 'outer', at: [negate(edge), negate(edge)], width: body.width.cut, height: body.length.cut },
    ],
    lines: [
      level('fold', half, zero, width),
      level('fold', add(half, thickness), zero, width),
      ...allRound('seam', width, high),
      ...(low ? [level('zip', subtract(half, low.height.cut), zero, width, 'outside')] : []),
      openingAtSide(from, opening),
    ],
    shapes,
  }
}

function joinings(pieces: readonly Piece[]): readonly Joining[] {
  const has = (id: string) => pieces.some(piece => piece.id === id)
  return [
    {
      id: 'pocket',
      name: 'Sew the mouth of the pocket, turn it, lay it on the lining',
      layers: [
        ...(has('lining') ? [piled('lining', 'right side up')] : []),
        piled('pocket', 'right side up', 'bottom', 'pocket, faced, mouth to the fold'),
      ],
      edges: ['left', 'right', 'bottom'],
      how: 'stitch',
      seenFrom: 'the right side of the lining',
    },
    {
      id: 'close-round',
      name: 'Sew all round with the ties inside, and turn beside the pocket',
      layers: [
        ...(has('padding') ? [piled('padding', 'right side up')] : []),
        piled('outer', 'right side up'),
        ...(has('zip-pocket-low') ? [piled('zip-pocket-low', 'right side up', 'top', 'zip pocket')] : []),
        ...(has('lining') ? [piled('lining', 'right side down', undefined, 'lining with its pocket')] : []),
      ],
      edges: ['left', 'right', 'top', 'bottom'],
      how: 'stitch',
      opening: 'beside-pocket',
      seenFrom: 'the wrong side of the lining',
    },
  ]
}

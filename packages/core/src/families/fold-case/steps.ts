import { customary } from '../../length/unit.js'
import { openingOf } from '../opening.js'
import { openingPlaces } from '../opening-place.js'
import { has, pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { bastingMinutes, besideZipMinutes, pressingMinutes, sewingMinutes } from '../../make/minutes.js'
import {
  clipCorners,
  closeOpening,
  finish,
  layTogether,
  lookAtSides,
  pressTurned,
  sewRound,
  tryIn,
  turnOut,
} from '../../make/techniques.js'
import type { Work } from '../contract.js'
import type { FoldCaseOptions } from './options.js'

/** Pockets on both panels, sewn round beside the pocket, turned, edge-stitched. Source: docs/craft.md, Making. */
export function steps(work: Work<FoldCaseOptions>): readonly Draft[] {
  const { say, unit, made } = work
  const { round } = sizeMm(work, 'outer')
  const walls = those(work, 'outer', 'lining')
  const opening = {
    length: openingOf(made) ?? customary(4, unit),
    where: openingPlaces['beside-pocket'].where,
  }
  const inside = has(work, 'lining') ? 'lining' : 'outer'
  return [
    ...(has(work, 'zip-pocket-low') ? zipPocket(work) : []),
    ...(has(work, 'pocket') ? insidePocket(work, inside) : []),
    layTogether(work, {
      id: 'lay-pile',
      name: 'Outer and lining right sides together',
      does: `Outer (${saySize(work, pieceOn(work, 'outer'))}) with what lies behind it, right side up; ${has(work, 'lining') ? 'the lining right side down, its pocket at the low end' : 'clip the edges'}.`,
      pieces: walls,
      aroundMm: round,
      opening,
    }),
    lookAtSides({
      ask: 'Is the zip pocket on the half that will be the front, the inside pocket at the other end with its mouth to the fold, and do the ties point inwards?',
      needs: ['lay-pile'],
      pieces: walls,
    }),
    sewRound(work, {
      name: 'Sew all round',
      pieces: [...walls, ...those(work, 'pocket')],
      aroundMm: round,
      opening,
      joining: 'close-round',
      needs: ['check-sides'],
    }),
    clipCorners(work, { pieces: walls, aroundMm: round, needs: ['sew-round'] }),
    turnOut({ pieces: walls, needs: ['clip-corners'], through: `the opening of ${say(opening.length)}` }),
    pressTurned(walls, round, ['turn-out']),
    tryIn('device', {
      does: 'Device into the pocket, fold the case over it. No power, no cable.',
      needs: ['press-turned'],
      pieces: walls,
      check: {
        ask: 'Does it slide into the pocket, and do the two ends meet over it?',
        ifNot: 'Turn it back through the opening and move a side seam.',
        cost: 'costly',
      },
    }),
    closeOpening(work, { pieces: walls, aroundMm: round, opening, needs: ['try-in'] }),
    finish({
      does: 'Device in, fold, tie.',
      needs: ['close-opening'],
      pieces: walls,
      check: {
        ask: 'Do the ends meet and the edges lie level?',
        ifNot: 'Write down by how much they miss.',
        cost: 'cheap',
      },
    }),
  ]
}

function zipPocket(work: Work<FoldCaseOptions>): readonly Draft[] {
  const { notions, unit, say } = work
  const { wide, high } = sizeMm(work, 'zip-pocket-low')
  const pieces = ['zip-pocket-low', 'zip-pocket-high']
  const ribbon = notions.some(({ id }) => id === 'zip-ribbon')
  const sewn = ['zip-pocket-low'] as const
  return [
    {
      id: 'zip-between-strips',
      kind: 'sew',
      place: 'machine',
      minutes: 2 * besideZipMinutes(wide),
      stitchedMm: 2 * wide,
      name: 'Zip between the strips',
      does: `Zip between the two low pieces (${saySize(work, pieceOn(work, 'zip-pocket-low'))}), then between the two high ones (${saySize(work, pieceOn(work, 'zip-pocket-high'))}), each pair right sides together; turn.`,
      why: 'The pocket has no raw edge at the zip.',
      pieces,
      notions: ['zip'],
      face: 'wrong side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      check: {
        ask: 'Do the teeth look to the right side on both strips?',
        ifNot: 'Unpick that strip.',
        cost: 'costly',
      },
    },
    {
      id: 'topstitch-zip-pocket',
      kind: 'topstitch',
      place: 'machine',
      minutes: 2 * besideZipMinutes(wide) + pressingMinutes(2 * wide),
      stitchedMm: 2 * wide,
      name: 'Press and top-stitch beside the zip',
      does: `Press away from the teeth, top-stitch ${say(customary(1 / 8, unit))} from the fold.`,
      why: 'Nothing is caught by the pull.',
      pieces: ['zip-pocket-low', 'zip-pocket-high'],
      tools: ['zip foot', 'iron', 'sewing machine'],
      cautions: ['hot-iron', 'needles'],
      needs: ['zip-between-strips'],
    },
    {
      id: 'lay-zip-pocket',
      kind: 'attach',
      place: 'machine',
      minutes: sewingMinutes(2 * wide) + bastingMinutes(2 * high),
      stitchedMm: 2 * wide + 2 * high,
      name: 'Zip pocket on the outer’s front half',
      does: `Lay it on the right side of the outer, within the seam lines of the front half; ${ribbon ? 'ribbon over both raw edges, stitched along both sides' : 'turn both raw edges under and stitch'}; baste the sides.`,
      why: 'The side seams catch it.',
      pieces: [...sewn, 'outer'],
      notions: ribbon ? ['zip-ribbon'] : [],
      face: 'right side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      on: { piece: 'outer', stage: 'dress' },
      check: {
        ask: 'Is it on the front half, the zip’s closed end where your hand begins?',
        ifNot: 'Take the stitches out and move it.',
        cost: 'costly',
      },
      needs: ['topstitch-zip-pocket'],
    },
  ]
}

function insidePocket(work: Work<FoldCaseOptions>, inside: string): readonly Draft[] {
  const { wide, high } = sizeMm(work, 'pocket')
  return [
    {
      id: 'make-pocket',
      kind: 'sew',
      place: 'machine',
      minutes: 2 * sewingMinutes(wide) + pressingMinutes(wide),
      stitchedMm: 2 * wide,
      name: 'Sew the pocket’s mouth',
      does: `The two pocket pieces (${saySize(work, pieceOn(work, 'pocket'))}) right sides together: sew the mouth, turn, press, top-stitch.`,
      why: 'Faced, the mouth does not stretch.',
      pieces: ['pocket'],
      tools: ['iron', 'sewing machine'],
      cautions: ['hot-iron', 'needles'],
      on: { piece: 'pocket', stage: 'dress' },
    },
    {
      id: 'baste-pocket',
      kind: 'baste',
      place: 'machine',
      minutes: bastingMinutes(2 * high + wide),
      stitchedMm: 2 * high + wide,
      name: 'Baste the pocket to the inside',
      does: `On the right side of the ${inside} at its low end, mouth towards the fold; sides and foot within the seam.`,
      why: 'The seam all round catches three sides.',
      pieces: ['pocket', inside],
      face: 'right side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      on: { piece: inside, stage: 'dress' },
      joining: 'pocket',
      check: {
        ask: 'Is the mouth towards the fold?',
        ifNot: 'Take the basting out and turn it.',
        cost: 'cheap',
      },
      needs: ['make-pocket'],
    },
  ]
}

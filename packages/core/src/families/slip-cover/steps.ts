import { toMm } from '../../length/length.js'
import { has, pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { pressingMinutes, sewingMinutes, turningMinutes } from '../../make/minutes.js'
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
import { openingOf } from '../opening.js'
import { openingPlaces } from '../opening-place.js'
import { resolveOptions, type SlipCoverOptions } from './options.js'

/** Flaps, the pile sewn all round, turned, tried and closed. Source: docs/craft.md, Making. */
export function steps(work: Work<SlipCoverOptions>): readonly Draft[] {
  const { made, say, job } = work
  const { flapDepth } = resolveOptions(job)
  const around = sizeMm(work, 'outer').round
  const walls = those(work, 'outer', 'lining')
  const faced = has(work, 'flap-outer')
  const flap = faced ? 'flap-outer' : 'flap'
  const opening = { length: openingOf(made) ?? flapDepth, where: openingPlaces['lower-edge'].where }
  return [
    ...(faced ? facedFlaps(work) : foldedFlaps(work)),
    layTogether(work, {
      id: 'lay-flaps',
      name: 'Lay the flaps on the outer',
      does: `Outer (${saySize(work, pieceOn(work, 'outer'))}) right side up. A flap at each end, its raw edges level with the outer’s, the ${faced ? 'finished edge' : 'fold'} to the middle.`,
      pieces: ['outer', flap],
      aroundMm: 2 * sizeMm(work, flap).high,
      needs: [faced ? 'topstitch-flaps' : 'press-flaps'],
    }),
    lookAtSides({
      ask: 'Is the front flap where the front will be, does every pocket open upwards, do print and arrows point to the top, and does what is caught point inwards?',
      needs: ['lay-flaps'],
      pieces: ['outer', flap],
    }),
    layTogether(work, {
      id: 'lay-lining',
      name: has(work, 'lining') ? 'Lining on top' : 'Pin the pile',
      does: has(work, 'lining')
        ? 'Lay the lining on it, right side down, and clip all round.'
        : 'Clip the flaps to the outer all round.',
      pieces: walls,
      aroundMm: around,
      opening,
      needs: ['check-sides'],
    }),
    sewRound(work, {
      name: 'Sew all round',
      pieces: [...walls, flap],
      aroundMm: around,
      opening,
      joining: 'close-round',
      needs: ['lay-lining'],
    }),
    tryIn('book', {
      does: 'Turn it out through the opening, slide both boards into the flaps, close the book. Then turn it back.',
      needs: ['sew-round'],
      pieces: walls,
      check: {
        ask: 'Does it close without strain, the spine not pulled, and no finger’s breadth slack?',
        ifNot:
          'Turn it back. Too tight: sew a new line a little further out and take the first out. Too loose: sew a second line inside the first.',
        cost: 'costly',
      },
    }),
    clipCorners(work, { pieces: walls, aroundMm: around, needs: ['try-in'] }),
    turnOut({ pieces: walls, needs: ['clip-corners'], through: `the opening of ${say(opening.length)}` }),
    pressTurned([...walls, flap], around, ['turn-out']),
    closeOpening(work, { pieces: walls, aroundMm: around, opening, needs: ['press-turned'] }),
    finish({
      does: 'Stiffer board in first, the other bent in after it; close the book and open it flat.',
      needs: ['close-opening'],
      pieces: walls,
      check: {
        ask: 'Does it close, open flat, and lie smooth over the spine?',
        ifNot: 'Write down where it pulls and by how much: the next one is planned from it.',
        cost: 'cheap',
      },
    }),
  ]
}

function foldedFlaps(work: Work<SlipCoverOptions>): readonly Draft[] {
  const { say } = work
  const flap = pieceOn(work, 'flap')
  return [
    {
      id: 'press-flaps',
      kind: 'press',
      place: 'iron',
      minutes: flap.count * pressingMinutes(toMm(flap.height.cut)),
      name: 'Fold and press the flaps',
      does: `Fold each flap (${saySize(work, flap)}) in half along its height of ${say(flap.height.cut)}, wrong sides together; press the fold.`,
      why: 'The fold is the edge that the board slides under.',
      pieces: ['flap'],
      face: 'right side',
      tools: ['iron'],
      cautions: ['hot-iron'],
      check: {
        ask: 'Is the right side out, and does a pocket on it open towards the top?',
        ifNot: 'Fold it the other way and press again.',
        cost: 'cheap',
      },
    },
  ]
}

function facedFlaps(work: Work<SlipCoverOptions>): readonly Draft[] {
  const { say, seam } = work
  const { count, height } = pieceOn(work, 'flap-outer')
  const edge = toMm(height.cut)
  const both = those(work, 'flap-outer', 'flap-facing')
  return [
    {
      id: 'face-flaps',
      kind: 'sew',
      place: 'machine',
      minutes: count * sewingMinutes(edge),
      stitchedMm: count * edge,
      name: 'Face the flaps',
      does: `Flap and facing right sides together: sew the inner edge only, ${say(seam)} of seam; the other three stay open.`,
      why: 'The inner edge is finished before the flap goes into the seams.',
      pieces: both,
      face: 'wrong side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      joining: 'face-flaps',
      check: {
        ask: 'Is one flap sewn along its left edge and the other along its right, tops up?',
        ifNot: 'Unpick one: both are for the same side.',
        cost: 'costly',
      },
    },
    {
      id: 'turn-flaps',
      kind: 'turn',
      place: 'iron',
      minutes: turningMinutes(0) + count * pressingMinutes(edge),
      name: 'Turn and press the flaps',
      does: 'Turn the facing to the back, roll the seam to the edge, press.',
      why: 'A pressed edge is stitched straight.',
      pieces: both,
      tools: ['iron'],
      cautions: ['hot-iron'],
      needs: ['face-flaps'],
    },
    {
      id: 'topstitch-flaps',
      kind: 'topstitch',
      place: 'machine',
      minutes: count * sewingMinutes(edge),
      stitchedMm: count * edge,
      name: 'Top-stitch the flaps’ inner edges',
      does: 'Stitch close to the finished edge from top to bottom.',
      why: 'It keeps the facing from rolling out.',
      pieces: both,
      tools: ['sewing machine'],
      cautions: ['needles'],
      needs: ['turn-flaps'],
    },
  ]
}

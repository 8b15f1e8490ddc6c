import { zero } from '../../length/length.js'
import { pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { bastingMinutes, pressingMinutes, rates, sewingMinutes } from '../../make/minutes.js'
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
import { resolveOptions, type AdjustableWrapOptions } from './options.js'

/** A strap across the lining, sewn round and turned; one end fixed on the books. Source: docs/craft.md, Making. */
export function steps(work: Work<AdjustableWrapOptions>): readonly Draft[] {
  const { say, made, job } = work
  const { fixedFlap, taperAlong, taperAcross } = resolveOptions(job)
  const { high, round } = sizeMm(work, 'outer')
  const walls = those(work, 'outer', 'lining')
  const inside = walls.includes('lining') ? 'lining' : 'outer'
  const strap = pieceOn(work, 'strap')
  const length = sizeMm(work, 'strap').wide
  const opening = { length: openingOf(made) ?? fixedFlap, where: openingPlaces['straight-end'].where }
  const books = job.objects.length === 1 ? 'book' : 'thickest and thinnest book'
  return [
    {
      id: 'taper-end',
      kind: 'trim',
      place: 'cutting',
      minutes: 2 * walls.length * rates.clippedCorner,
      name: 'Taper the free end',
      does: `Cut the two corners off the free end, ${say(taperAlong)} along and ${say(taperAcross)} across, outer and lining alike.`,
      why: 'The tapered end slides under the strap.',
      pieces: walls,
      tools: ['ruler', 'scissors'],
      cautions: ['blades'],
      check: {
        ask: 'Are outer and lining tapered at the same end, right sides facing each other?',
        ifNot: 'Lay them together before you cut the second one.',
        cost: 'too-late',
      },
      gate: true,
    },
    {
      id: 'measure-strap',
      kind: 'measure',
      place: 'table',
      minutes: rates.reading,
      name: 'Measure the strap off the work',
      does: 'Lay the tape across the tapered panel where the strap will lie, cut edge to cut edge; the strap is ½ in (12 mm) longer.',
      why: 'What is cut and fused may have drawn in.',
      pieces: walls,
      measures: [{ piece: 'strap', side: 'width' }],
      needs: ['taper-end'],
    },
    {
      id: 'make-strap',
      kind: 'sew',
      place: 'machine',
      minutes: sewingMinutes(2 * length) + 2 * pressingMinutes(2 * length),
      stitchedMm: 2 * length,
      name: 'Make the strap',
      does: `Two strips (${saySize(work, strap)}): press the long edges to the middle, lay the strips raw sides together, stitch along both edges.`,
      why: 'Doubled, it holds the free end without stretching.',
      pieces: ['strap'],
      tools: ['iron', 'sewing machine'],
      cautions: ['hot-iron', 'needles'],
      on: { piece: 'strap', stage: 'dress' },
    },
    {
      id: 'baste-strap',
      kind: 'baste',
      place: 'machine',
      minutes: bastingMinutes(2 * sizeMm(work, 'strap').high),
      stitchedMm: 2 * sizeMm(work, 'strap').high,
      name: 'Baste the strap across the inside',
      does: `Across the right side of the ${inside}, behind the free end’s taper, flat and not pulled; baste both ends within the seam.`,
      why: 'Pulled tight it would gather the cover.',
      pieces: ['strap', inside],
      face: 'right side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      check: {
        ask: 'Does it lie flat, not twisted, at the same distance from the tip above and below?',
        ifNot: 'Take the basting out at one end and lay it again.',
        cost: 'cheap',
      },
      needs: ['make-strap', 'taper-end'],
    },
    layTogether(work, {
      id: 'lay-pile',
      name: 'Outer and lining right sides together',
      does: 'Lining right side up with its strap, outer right side down; tapers match.',
      pieces: walls,
      aroundMm: round,
      opening,
      needs: ['baste-strap'],
    }),
    lookAtSides({
      ask: 'Does the strap lie between the layers at the tapered end, and is the print of both the same way up?',
      needs: ['lay-pile'],
      pieces: [...walls, 'strap'],
    }),
    sewRound(work, {
      name: 'Sew all round',
      pieces: [...walls, 'strap'],
      aroundMm: round,
      corners: 6,
      opening,
      joining: 'close-round',
      needs: ['check-sides'],
    }),
    clipCorners(work, { pieces: walls, aroundMm: round, corners: 6, needs: ['sew-round'] }),
    turnOut({
      pieces: walls,
      corners: 6,
      needs: ['clip-corners'],
      through: `the opening of ${say(opening.length)}`,
    }),
    pressTurned(walls, round, ['turn-out']),
    tryIn(books, {
      does: `Fold the fixed flap ${say(fixedFlap)} in and clip it. Put every book in, the free end round the fore-edge and under the strap.`,
      needs: ['press-turned'],
      pieces: walls,
      check: {
        ask: 'Does each book close, and does the free end hold at least a grip under the strap?',
        ifNot: 'Shift the fold of the fixed flap, and try all of them again.',
        cost: 'cheap',
      },
    }),
    closeOpening(work, { pieces: walls, aroundMm: round, opening, needs: ['try-in'] }),
    {
      id: 'stitch-fixed-flap',
      kind: 'topstitch',
      place: 'machine',
      minutes: sewingMinutes(high / 2, 2),
      stitchedMm: high / 2,
      name: 'Stitch the fixed flap',
      does: `Fold it ${say(fixedFlap)} in again; stitch it at top and bottom, back and forth at its ends.`,
      why: 'Its ends carry the board.',
      pieces: walls,
      face: 'inside',
      tools: ['sewing machine'],
      cautions: ['needles'],
      joining: 'fixed-flap',
      needs: ['close-opening'],
    },
    finish({
      does: 'Put the thickest book in, then the thinnest.',
      needs: ['stitch-fixed-flap'],
      pieces: walls,
      check: {
        ask: `Do all ${zero === fixedFlap ? '' : 'of them '}close and hold?`,
        ifNot: 'Write down which one does not, and by how much.',
        cost: 'cheap',
      },
    }),
  ]
}

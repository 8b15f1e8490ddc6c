import { customary } from '../../length/unit.js'
import { has, pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import {
  bastingMinutes,
  besideZipMinutes,
  pinningMinutes,
  pressingMinutes,
  rates,
  sewingMinutes,
} from '../../make/minutes.js'
import {
  clipCorners,
  closeOpening,
  finish,
  pressTurned,
  sewRound,
  tryIn,
  turnOut,
} from '../../make/techniques.js'
import type { Work } from '../contract.js'
import { openingPlaces } from '../opening-place.js'
import type { ZipPouchOptions } from './options.js'

/** Pocket, zip between outer and lining on both sides, round and through the lining. Source: docs/craft.md, Making. */
export function steps(work: Work<ZipPouchOptions>): readonly Draft[] {
  const { say, unit } = work
  const { wide, round } = sizeMm(work, 'outer')
  const walls = those(work, 'outer', 'lining')
  const lined = has(work, 'lining')
  const opening = {
    length: customary(4, unit),
    where: openingPlaces[lined ? 'lining-bottom' : 'bottom'].where,
  }
  const around = (lined ? 2 : 1) * (round - wide)
  return [
    ...(has(work, 'pocket-outer') ? pocketSteps(work) : []),
    {
      id: 'sew-zip-front',
      kind: 'sew',
      place: 'machine',
      minutes: besideZipMinutes(wide) + bastingMinutes(wide),
      stitchedMm: wide,
      name: 'Zip to the front wall',
      does: 'Zip face down on the front’s upper edge, its pull towards the closed end; clip the open end together so that the pull cannot come off. Lining over it, right side down; sew with the zip foot.',
      why: 'Both plies and the tape in one line.',
      pieces: walls,
      notions: ['zip'],
      face: 'wrong side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      joining: 'zip',
      check: {
        ask: 'Do the teeth face the right side of the outer, and is the pocket on this wall?',
        ifNot: 'Unpick the zip and turn it over.',
        cost: 'costly',
      },
    },
    {
      id: 'sew-zip-back',
      kind: 'sew',
      place: 'machine',
      minutes: besideZipMinutes(wide),
      stitchedMm: wide,
      name: 'Zip to the back wall',
      does: 'The other tape the same: outer, zip, lining; ends of both walls level.',
      why: 'Walls that are level close level.',
      pieces: walls,
      face: 'wrong side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      needs: ['sew-zip-front'],
    },
    {
      id: 'press-zip',
      kind: 'press',
      place: 'iron',
      minutes: pressingMinutes(4 * wide),
      name: 'Press away from the teeth',
      does: 'From both sides, the iron beside the teeth, not on them.',
      why: 'Cloth that is not pressed back is caught by the pull.',
      pieces: walls,
      tools: ['iron'],
      cautions: ['hot-iron'],
      needs: ['sew-zip-back'],
    },
    {
      id: 'topstitch-zip',
      kind: 'topstitch',
      place: 'machine',
      minutes: 2 * besideZipMinutes(wide),
      stitchedMm: 2 * wide,
      name: 'Top-stitch both sides of the zip',
      does: `${say(customary(1 / 8, unit))} from the fold, outer and lining together.`,
      why: 'It keeps the lining out of the teeth.',
      pieces: walls,
      face: 'right side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      needs: ['press-zip'],
    },
    {
      id: 'check-sides',
      kind: 'inspect',
      place: 'table',
      minutes: rates.inspecting,
      name: 'Pull to the middle; look',
      does: 'Draw the pull to the middle of the zip, so that it lies inside the seam and the zip stays open.',
      why: 'A closed zip shuts the pouch with its right side in.',
      pieces: walls,
      check: {
        ask: 'Does the zip run, is the pull in the middle, and is the pocket open towards the zip?',
        ifNot: 'Draw the pull to the middle now.',
        cost: 'too-late',
      },
      gate: true,
      turn: 'looks',
      needs: ['topstitch-zip'],
    },
    {
      id: 'lay-pile',
      kind: 'baste',
      place: 'table',
      minutes: pinningMinutes(around),
      name: 'Outer to outer, lining to lining',
      does: `Right sides together; at the zip’s ends the teeth towards the lining, side by side. Mark the opening of ${say(opening.length)} ${opening.where} doubly.`,
      why: 'Teeth that lean to the outer make a hump at both ends.',
      pieces: walls,
      face: 'wrong side',
      tools: ['clips'],
      cautions: ['needles'],
      needs: ['check-sides'],
    },
    sewRound(work, {
      name: 'Sew all round',
      pieces: [...walls, ...those(work, 'pocket-outer')],
      aroundMm: around,
      corners: lined ? 4 : 2,
      opening,
      joining: 'close-round',
      needs: ['lay-pile'],
    }),
    tryIn('device', {
      does: 'Turn it through the opening, push the corners out, slide the device in; then turn it back. No power, no cable.',
      needs: ['sew-round'],
      pieces: walls,
      check: {
        ask: 'Does the device go in and the zip close over it without a tug?',
        ifNot: 'Turn it back and move one side seam.',
        cost: 'costly',
      },
    }),
    clipCorners(work, { pieces: walls, aroundMm: around, needs: ['try-in'] }),
    turnOut({ pieces: walls, needs: ['clip-corners'], through: `the opening of ${say(opening.length)}` }),
    pressTurned(walls, around, ['turn-out']),
    closeOpening(
      { ...work },
      {
        pieces: lined ? ['lining'] : ['outer'],
        aroundMm: sizeMm(work, lined ? 'lining' : 'outer').wide,
        opening,
        needs: ['press-turned'],
        why: 'Close to the fold; the lining goes in after it.',
      },
    ),
    finish({
      does: 'Push the lining in, device in, zip closed.',
      needs: ['close-opening'],
      pieces: walls,
      check: {
        ask: 'Do the zip’s ends lie flat, and does nothing of the lining show?',
        ifNot: 'Pull the corner out and push it in again with a blunt stick.',
        cost: 'cheap',
      },
    }),
  ]
}

function pocketSteps(work: Work<ZipPouchOptions>): readonly Draft[] {
  const { say, seam, unit } = work
  const pocket = sizeMm(work, 'pocket-outer')
  const both = those(work, 'pocket-outer', 'pocket-lining')
  const curve = pocket.wide * 0.6
  return [
    {
      id: 'cut-scoop',
      kind: 'trim',
      place: 'cutting',
      minutes: rates.marking + (rates.trimmingPer100 * curve) / 100 + rates.curve,
      name: 'Cut the scoop',
      does: `Pocket layers (${saySize(work, pieceOn(work, 'pocket-outer'))}) right sides together, the interfaced one up; cut the curve of the mouth through both.`,
      why: 'Through both at once the curves are one.',
      pieces: both,
      face: 'wrong side',
      tools: ['scissors', 'template'],
      cautions: ['blades'],
      check: {
        ask: 'Is the curve in the upper edge, print upright?',
        ifNot: 'Turn it before you cut.',
        cost: 'too-late',
      },
      gate: true,
      on: { piece: 'pocket-outer', stage: 'shape' },
    },
    {
      id: 'sew-scoop',
      kind: 'sew',
      place: 'machine',
      minutes: sewingMinutes(curve) + rates.curve,
      stitchedMm: curve,
      name: 'Sew the pocket’s mouth',
      does:
        both.length > 1
          ? `Along the upper edge and the curve, ${say(seam)} of seam.`
          : `Stay-stitch along the upper edge and the curve, ${say(seam)} in: it is turned under on that line.`,
      why: 'The mouth is finished before the pocket lies on the wall.',
      pieces: both,
      face: 'wrong side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      ...(both.length > 1 && { joining: 'pocket-mouth' }),
      needs: ['cut-scoop'],
    },
    {
      id: 'turn-scoop',
      kind: 'turn',
      place: 'iron',
      minutes: rates.clippedCurvePer10 * (curve / 10) + rates.turning + pressingMinutes(curve),
      name: 'Snip, turn and press the mouth',
      does: `Snip the curve ${say(customary(1 / 8, unit))} deep every ${say(customary(1 / 4, unit))} to ${say(customary(1 / 2, unit))}, not through the stitches; turn, press.`,
      why: 'A curve that is not snipped does not turn.',
      pieces: both,
      tools: ['small scissors', 'iron'],
      cautions: ['hot-iron', 'blades'],
      needs: ['sew-scoop'],
    },
    {
      id: 'topstitch-scoop',
      kind: 'topstitch',
      place: 'machine',
      minutes: sewingMinutes(curve),
      stitchedMm: curve,
      name: 'Top-stitch the mouth',
      does: `${say(customary(1 / 8, unit))} from the edge.`,
      why: 'The lining does not roll out.',
      pieces: both,
      tools: ['sewing machine'],
      cautions: ['needles'],
      needs: ['turn-scoop'],
    },
    {
      id: 'baste-pocket',
      kind: 'baste',
      place: 'machine',
      minutes: bastingMinutes(2 * pocket.high + pocket.wide),
      stitchedMm: 2 * pocket.high + pocket.wide,
      name: 'Baste the pocket to the front wall',
      does: 'On the right side of one outer, lower edges level: sides and foot within the seam.',
      why: 'The side seams catch it.',
      pieces: [...both, 'outer'],
      face: 'right side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      check: {
        ask: 'Is the mouth towards the edge where the zip will be?',
        ifNot: 'Take the basting out and turn it.',
        cost: 'cheap',
      },
      on: { piece: 'outer', stage: 'dress' },
      needs: ['topstitch-scoop'],
    },
  ]
}

import { toMm } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { has, pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import {
  foldedStripMinutes,
  ladderMinutes,
  pinningMinutes,
  pressingMinutes,
  rates,
  sewingMinutes,
  trimmingMinutes,
  turningMinutes,
} from '../../make/minutes.js'
import { finish } from '../../make/techniques.js'
import type { Work } from '../contract.js'
import { resolveOptions, type SleeveOptions } from './options.js'

/** Turned: walls, linings, mouth. Bound: mouths, walls, binding. Source: docs/craft.md, Making. */
export function steps(work: Work<SleeveOptions>): readonly Draft[] {
  return resolveOptions(work.job).edge === 'bound' ? bound(work) : turned(work)
}

const wallsOf = (work: Work<SleeveOptions>) => those(work, 'outer', 'padding', 'interfacing')

function turned(work: Work<SleeveOptions>): readonly Draft[] {
  const { say, seam, unit, job } = work
  const { turningOpening } = resolveOptions(job)
  const { wide, high } = sizeMm(work, has(work, 'lining') ? 'lining' : 'outer')
  const threeSides = 2 * high + wide
  const mouth = 2 * wide
  const lined = has(work, 'lining')
  const padded = has(work, 'padding')
  const both = [...those(work, 'outer', 'lining')]
  const deeper = padded ? `, side seams ${say(customary(1 / 8, unit))} deeper so that it does not bunch` : ''
  const eighth = say(customary(1 / 8, unit))
  return [
    {
      id: 'join-outers',
      kind: 'sew',
      place: 'machine',
      minutes: pinningMinutes(threeSides) + sewingMinutes(threeSides, 2),
      stitchedMm: threeSides,
      name: 'Sew the walls together',
      does: `Outer walls right sides together, quilting lines matched: sides and bottom with ${say(seam)} of seam. The mouth stays open.`,
      why: 'Three sides; the fourth is the mouth.',
      pieces: wallsOf(work),
      face: 'wrong side',
      tools: ['sewing machine', 'clips'],
      cautions: ['needles'],
      joining: 'join-outers',
      check: {
        ask: 'Is the print upright on both walls, the mouth on top?',
        ifNot: 'Turn one wall before you sew; after that it is unpicking.',
        cost: 'costly',
      },
    },
    ...(lined
      ? ([
          {
            id: 'join-linings',
            kind: 'sew',
            place: 'machine',
            minutes: sewingMinutes(threeSides, 2),
            stitchedMm: threeSides,
            name: 'Sew the linings together',
            does: `Linings right sides together, sides and bottom${deeper}.`,
            why: 'The lining lies inside the padding and needs less room.',
            pieces: ['lining'],
            face: 'wrong side',
            tools: ['sewing machine'],
            cautions: ['needles'],
            joining: 'join-linings',
          },
        ] as const)
      : []),
    {
      id: 'press-seams',
      kind: 'press',
      place: 'iron',
      minutes: pressingMinutes(threeSides * 2) + 4 * rates.clippedCorner,
      name: 'Press the seams open, clip the corners',
      does: 'Press the seams open over a rolled towel; clip the bottom corners, padding back to the stitching.',
      why: 'An open seam is half as thick.',
      pieces: both,
      tools: ['iron', 'scissors'],
      cautions: ['hot-iron', 'blades'],
      needs: lined ? ['join-outers', 'join-linings'] : ['join-outers'],
    },
    {
      id: 'turn-lining',
      kind: 'turn',
      place: 'table',
      minutes: turningMinutes(2),
      name: lined ? 'Turn the lining only, mark the back' : 'Mark the back',
      does: lined
        ? 'Turn the lining right side out; the outer stays inside out. Mark the back wall.'
        : 'Leave the walls inside out. Mark the back wall.',
      why: 'Right side meets right side when one goes into the other.',
      pieces: both,
      face: 'wrong side',
      tools: ['blunt stick', 'pin'],
      needs: ['press-seams'],
    },
    {
      id: 'drop-lining',
      kind: 'baste',
      place: 'table',
      minutes: pinningMinutes(mouth),
      name: lined ? 'Lining into the outer' : 'Turn the mouth’s allowance',
      does: lined
        ? `Right sides facing, side seams matched, edges level. Mark an opening of ${say(turningOpening)} at the back, beside the loop and ${say(customary(1 / 2, unit))} clear of it.`
        : `Fold the allowance of the mouth to the inside and clip it.`,
      why: 'Seams that match lie flat at the mouth.',
      pieces: both,
      face: 'wrong side',
      tools: ['clips'],
      cautions: ['needles'],
      needs: ['turn-lining'],
    },
    {
      id: 'check-sides',
      kind: 'inspect',
      place: 'table',
      minutes: rates.inspecting,
      name: 'Look at the mouth',
      does: 'Once round the mouth, front and back.',
      why: 'Nothing is sewn yet.',
      pieces: both,
      check: {
        ask: 'Do the side seams match, does what is caught hang inside between the layers, on the back, clear of the opening?',
        ifNot: 'Take the clips out and lay it again.',
        cost: 'cheap',
      },
      gate: true,
      turn: 'looks',
      needs: ['drop-lining'],
    },
    {
      id: 'sew-mouth',
      kind: 'sew',
      place: 'machine',
      minutes: sewingMinutes(mouth - toMm(turningOpening)),
      stitchedMm: mouth - toMm(turningOpening),
      name: 'Sew the mouth',
      does: `From one end of the opening of ${say(turningOpening)} round to the other, ${say(seam)} of seam, back and forth at both ends and over a loop.`,
      why: 'A loop carries a button all its life.',
      pieces: both,
      face: 'wrong side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      turn: 'catches',
      needs: ['check-sides'],
    },
    {
      id: 'try-in',
      kind: 'try-in',
      place: 'table',
      minutes: rates.tryingIn,
      name: 'Pull it through far enough to try the device in',
      does: 'Turn through the opening, push the lining in, slide the device in. No power, no cable.',
      why: 'The side seams can still be reached.',
      pieces: both,
      check: {
        ask: 'Is what was caught held, and on the back? Does the device slide in and out without a tug?',
        ifNot: 'Turn back; move one side seam, or sew the loop again.',
        cost: 'costly',
      },
      gate: true,
      cautions: ['devices'],
      needs: ['sew-mouth'],
    },
    {
      id: 'press-mouth',
      kind: 'press',
      place: 'iron',
      minutes: turningMinutes(2) + pressingMinutes(mouth),
      name: 'Push the lining in, press the mouth',
      does: 'Device out. Lining down into the corners; turn the mouth’s allowance in at the opening; press.',
      why: 'The top-stitch follows this edge.',
      pieces: both,
      tools: ['iron', 'blunt stick'],
      cautions: ['hot-iron'],
      needs: ['try-in'],
    },
    {
      id: 'topstitch-mouth',
      kind: 'topstitch',
      place: 'machine',
      minutes: sewingMinutes(mouth),
      stitchedMm: mouth,
      name: 'Top-stitch the mouth, which closes it',
      does: `All round the mouth ${eighth} from the edge; it closes the opening.`,
      why: 'It keeps the lining from rolling out.',
      pieces: both,
      face: 'outside',
      tools: ['sewing machine'],
      cautions: ['needles'],
      joining: 'mouth',
      turn: 'last',
      needs: ['press-mouth'],
    },
    finishing(['topstitch-mouth'], both),
  ]
}

function finishing(needs: readonly string[], pieces: readonly string[]): Draft {
  return finish({
    does: 'Device in; hold it upside down over a cushion.',
    needs,
    pieces,
    check: {
      ask: 'Does it stay in and come out with two fingers?',
      ifNot: 'Write down how it goes: the ease of the next one follows.',
      cost: 'cheap',
    },
  })
}

function bound(work: Work<SleeveOptions>): readonly Draft[] {
  const { say, seam, job } = work
  const { mouth } = resolveOptions(job)
  const { wide, high } = sizeMm(work, 'outer')
  const threeSides = 2 * high + wide
  const plies = [...wallsOf(work), ...those(work, 'lining')]
  const walls = [...those(work, 'outer', 'lining')]
  const binding = sizeMm(work, 'binding').wide
  const bindMouths = mouth === 'bound'
  return [
    {
      id: 'hold-plies',
      kind: 'baste',
      place: 'machine',
      minutes: 2 * sewingMinutes(2 * high),
      stitchedMm: 4 * high,
      name: 'Hold the plies of each wall together',
      does: 'Lining behind, padding between, outer outside: a few lines of stitching hold the three.',
      why: 'A binding cannot hold what slides behind it.',
      pieces: plies,
      face: 'right side',
      tools: ['even-feed foot', 'sewing machine'],
      cautions: ['needles'],
    },
    ...(bindMouths
      ? ([
          {
            id: 'bind-mouths',
            kind: 'sew',
            place: 'machine',
            minutes: 2 * (foldedStripMinutes(wide) + sewingMinutes(wide)),
            stitchedMm: 4 * wide,
            name: 'Bind both mouths',
            does: `Mouth binding (${saySize(work, pieceOn(work, 'mouth-binding'))}): pressed in four, over the upper edge of each wall, stitched through.`,
            why: 'The mouth has no other finish.',
            pieces: ['mouth-binding', ...walls],
            tools: ['iron', 'sewing machine'],
            cautions: ['hot-iron', 'needles'],
            joining: 'bind-mouths',
            needs: ['hold-plies'],
          },
        ] as const)
      : []),
    {
      id: 'check-sides',
      kind: 'inspect',
      place: 'table',
      minutes: rates.inspecting,
      name: 'Lay the walls together',
      does: 'Linings facing, mouths level; look from both sides.',
      why: 'The seam stands outside: it shuts everything in.',
      pieces: walls,
      check: {
        ask: 'Are both mouths on top, prints upright, and is what is caught in place?',
        ifNot: 'Turn that wall: nothing is sewn.',
        cost: 'cheap',
      },
      gate: true,
      turn: 'looks',
      needs: [bindMouths ? 'bind-mouths' : 'hold-plies'],
    },
    {
      id: 'join-walls',
      kind: 'sew',
      place: 'machine',
      minutes: pinningMinutes(threeSides) + sewingMinutes(threeSides, 2),
      stitchedMm: threeSides,
      name: 'Sew the walls together on three sides',
      does: `Linings facing, ${say(seam)} of seam, stitches of 4 mm; the seam stands outside.`,
      why: 'Long stitches pull through a thick pile without a pucker.',
      pieces: walls,
      face: 'outside',
      tools: ['sewing machine', 'clips'],
      cautions: ['needles'],
      joining: 'join-walls',
      turn: 'catches',
      needs: ['check-sides'],
    },
    {
      id: 'try-in',
      kind: 'try-in',
      place: 'table',
      minutes: rates.tryingIn,
      name: 'Try the device in',
      does: 'Slide it in and out. No power, no cable.',
      why: 'The seam can still be moved before it is trimmed and bound.',
      pieces: walls,
      check: {
        ask: 'Does it slide in without a tug and not rattle?',
        ifNot: 'Sew a second line inside the first, or unpick and sew further out.',
        cost: 'costly',
      },
      gate: true,
      cautions: ['devices'],
      needs: ['join-walls'],
    },
    {
      id: 'measure-binding',
      kind: 'measure',
      place: 'table',
      minutes: rates.reading,
      name: 'Measure the way round',
      does: 'Lay the tape along the seam line round the three sides; 2 in (50 mm) more to join and turn in.',
      why: 'The sewn walls say how long the binding is.',
      pieces: walls,
      measures: [{ piece: 'binding', side: 'width' }],
      needs: ['try-in'],
    },
    {
      id: 'press-binding',
      kind: 'press',
      place: 'iron',
      minutes: foldedStripMinutes(binding),
      name: 'Press the binding in four',
      does: `Binding (${saySize(work, pieceOn(work, 'binding'))}): in half along its length, open, both edges to the crease.`,
      why: 'The creases lead the needle.',
      pieces: ['binding'],
      tools: ['iron'],
      cautions: ['hot-iron'],
      on: { piece: 'binding', stage: 'dress' },
    },
    {
      id: 'sew-binding',
      kind: 'sew',
      place: 'machine',
      minutes: trimmingMinutes(threeSides) + sewingMinutes(threeSides, 2) + 2 * rates.mitre,
      stitchedMm: threeSides,
      name: 'Sew the binding on from the front',
      does: `Right sides together, ends folded in, along the seam line; stop ${say(customary(3 / 8, work.unit))} before each corner and mitre it.`,
      why: 'A mitre folds into itself on both sides.',
      pieces: ['binding', ...walls],
      face: 'outside',
      tools: ['sewing machine'],
      cautions: ['needles'],
      needs: ['measure-binding', 'press-binding'],
    },
    {
      id: 'ladder-binding',
      kind: 'hand-sew',
      place: 'hand',
      minutes: ladderMinutes(threeSides),
      name: 'Over the edge, and a ladder stitch behind',
      does: 'Fold it over the edge to the back; ladder-stitch along the seam line, the corners closed on both sides.',
      why: 'No stitch shows on either side.',
      pieces: ['binding'],
      tools: ['needle', 'thread'],
      cautions: ['needles'],
      turn: 'last',
      needs: ['sew-binding'],
    },
    finishing(['ladder-binding'], walls),
  ]
}

import { customary } from '../../length/unit.js'
import { has, pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import {
  besideZipMinutes,
  hemMinutes,
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
import { resolveOptions, type ZipAroundOptions } from './options.js'

/** Foam, piping, gusset, flaps, lining: each pass on or inside the last line. Source: docs/craft.md, Making. */
export function steps(work: Work<ZipAroundOptions>): readonly Draft[] {
  const { say, job } = work
  const { zipGap, flapDepth } = resolveOptions(job)
  const { round } = sizeMm(work, 'outer')
  const gusset = sizeMm(work, 'gusset').wide
  const faced = has(work, 'flap-outer')
  const flap = faced ? 'flap-outer' : 'flap'
  const flaps = those(work, 'flap', 'flap-outer', 'flap-facing')
  const body = those(work, 'outer', 'padding', 'interfacing')
  const from = has(work, 'padding') ? 'the foam side' : 'the wrong side'
  const lined = has(work, 'lining')
  return [
    ...foamAndPiping(work),
    ...gussetSteps(work),
    {
      id: 'mark-middles',
      kind: 'mark',
      place: 'table',
      minutes: 6 * rates.marking,
      name: 'Mark all middles',
      does: `The middles of all four sides and of both gussets; ${say(zipGap)} each side of the spine’s middle, at top and bottom, stays without zip.`,
      why: 'Middles that meet share the slack out.',
      pieces: ['outer', 'gusset'],
      tools: ['pins or chalk'],
      needs: ['sew-piping', 'gusset-ends'],
    },
    {
      id: 'sew-gusset-first',
      kind: 'sew',
      place: 'machine',
      minutes: pinningMinutes(gusset) + besideZipMinutes(gusset) + 2 * rates.curve,
      stitchedMm: gusset,
      name: 'First half of the gusset',
      does: `Zip open, its tabs together. Middles, then straights, corners last, the allowance clipped at the curves. Sew blind along the piping from ${from}, slowly.`,
      why: 'On or just inside the piping’s line the piping lies tight.',
      pieces: [...body, 'gusset', 'piping'],
      face: 'wrong side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      joining: 'gusset',
      needs: ['mark-middles'],
    },
    {
      id: 'check-twist',
      kind: 'inspect',
      place: 'table',
      minutes: rates.inspecting,
      name: 'Close the zip and look for a twist',
      does: 'Close the zip once round and lay the other half where it will be sewn.',
      why: 'A twisted zip is found now, or after the second half.',
      pieces: ['gusset', 'outer'],
      check: {
        ask: 'Does the zip lie without a twist, the pull outside and starting at the top?',
        ifNot: 'Open the zip, turn the free half over once, and look again.',
        cost: 'cheap',
      },
      gate: true,
      needs: ['sew-gusset-first'],
    },
    {
      id: 'sew-gusset-second',
      kind: 'sew',
      place: 'machine',
      minutes: pinningMinutes(gusset) + besideZipMinutes(gusset) + 2 * rates.curve,
      stitchedMm: gusset,
      name: 'Second half of the gusset',
      does: `The same from the marks inwards, from ${from}; look at it from the right side.`,
      why: 'Both halves the same, or the cover skews.',
      pieces: [...body, 'gusset'],
      face: 'wrong side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      check: {
        ask: 'Does the piping lie tight all round, and does the zip run?',
        ifNot: 'Sew that stretch again, a hair further in.',
        cost: 'cheap',
      },
      needs: ['check-twist'],
    },
    ...flapSteps(work, flap, flaps),
    {
      id: 'check-sides',
      kind: 'inspect',
      place: 'table',
      minutes: rates.inspecting,
      name: 'Look at the flaps',
      does: 'Outside up, the left flap goes on the right. Open edges to the outside, folds to the middle.',
      why: 'The next line shuts them in.',
      pieces: ['outer', flap],
      check: {
        ask: 'Is the left flap on the right while it is inside out, do pockets open upwards, and does what is caught point inwards?',
        ifNot: 'Change the flaps: nothing is sewn.',
        cost: 'cheap',
      },
      gate: true,
      turn: 'looks',
      needs: ['sew-gusset-second', 'press-flaps'],
    },
    {
      id: 'sew-flaps',
      kind: 'sew',
      place: 'machine',
      minutes: sewingMinutes(2 * (sizeMm(work, flap).high + 200), 4) + 4 * rates.curve,
      stitchedMm: 2 * sizeMm(work, flap).high,
      name: 'Sew the flaps in',
      does: `Flaps (${say(flapDepth)} deep) over the gusset; from ${from} on or just inside the last line.`,
      why: 'Each pass inside the last, so that the piping tightens.',
      pieces: [...body, ...flaps],
      face: 'wrong side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      joining: 'flaps',
      turn: 'catches',
      needs: ['check-sides'],
    },
    ...(lined ? liningSteps(work, from) : []),
    {
      id: 'try-in',
      kind: 'try-in',
      place: 'table',
      minutes: rates.tryingIn + turningMinutes(4),
      name: 'Turn it through and try the planner in',
      does: 'Pull it through the flaps, look for pleats, pull tails outside; the planner in, back cover first; close the zip. Then inside out again.',
      why: 'Before the seam is trimmed it can still be sewn again.',
      pieces: body,
      check: {
        ask: 'No pleats, the corners clear, the zip closing over the planner?',
        ifNot: 'Inside out: take out that stretch and sew it again.',
        cost: 'costly',
      },
      gate: true,
      cautions: ['stiff-spine'],
      needs: [lined ? 'sew-lining' : 'sew-flaps'],
    },
    {
      id: 'trim-seam',
      kind: 'trim',
      place: 'table',
      minutes: trimmingMinutes(round),
      name: 'Trim foam and cloth by half',
      does: 'Inside out: foam back to the stitching where it will go, the rest to half; clip the curves.',
      why: 'The corner turns only as far as its bulk lets it.',
      pieces: body,
      tools: ['scissors'],
      cautions: ['blades'],
      needs: ['try-in'],
    },
    {
      id: 'turn-out',
      kind: 'turn',
      place: 'iron',
      minutes: turningMinutes(4) + pressingMinutes(2 * gusset),
      name: 'Turn it out, press the gusset forward',
      does: 'Out through the flaps; press the gusset forward along the piping.',
      why: 'It stands up as a wall.',
      pieces: [...body, 'gusset'],
      tools: ['blunt stick', 'iron'],
      cautions: ['hot-iron'],
      needs: ['trim-seam'],
    },
    {
      id: 'tack-zip-end',
      kind: 'hand-sew',
      place: 'hand',
      minutes: ladderMinutes(25),
      name: 'Tack the zip’s end inside',
      does: `The zip’s tail to the ${lined ? 'lining' : 'inside'} by hand.`,
      why: 'A loose tail runs into the pages.',
      pieces: [lined ? 'lining' : 'outer'],
      tools: ['needle', 'thread'],
      cautions: ['needles'],
      turn: 'last',
      needs: ['turn-out'],
    },
    finish({
      does: 'Back cover in first, then the front; close the zip all round.',
      needs: ['tack-zip-end'],
      pieces: ['outer'],
      check: {
        ask: 'Does the zip run all round, and do the corners not pinch?',
        ifNot: 'Write down which corner.',
        cost: 'cheap',
      },
    }),
  ]
}

function foamAndPiping(work: Work<ZipAroundOptions>): readonly Draft[] {
  const { say, notions, job } = work
  const { cornerRadius } = resolveOptions(job)
  const piping = sizeMm(work, 'piping').wide
  const { round } = sizeMm(work, 'outer')
  return [
    {
      id: 'round-corners',
      kind: 'trim',
      place: 'cutting',
      minutes: 4 * rates.curve,
      name: 'Round the corners',
      does: `Outer, ${has(work, 'padding') ? 'foam, ' : ''}flaps’ outer corners: ${say(cornerRadius)} and the seam, from one template.`,
      why: 'A zip goes round a curve, not a corner.',
      pieces: those(work, 'outer', 'padding', 'flap', 'flap-outer', 'flap-facing'),
      tools: ['template', 'scissors'],
      cautions: ['blades'],
      check: {
        ask: 'Are only the flaps’ outer corners rounded?',
        ifNot: 'Lay the flap on the outer before you cut.',
        cost: 'too-late',
      },
      gate: true,
      on: { piece: 'outer', stage: 'shape' },
    },
    {
      id: 'make-piping',
      kind: 'sew',
      place: 'machine',
      minutes: besideZipMinutes(piping),
      stitchedMm: piping,
      name: 'Wrap the piping round its cord',
      does: `Bias strip (${saySize(work, pieceOn(work, 'piping'))}) joined, folded over the cord, stitched close to it with the zip foot.`,
      why: 'Bias goes round corners without a pleat.',
      pieces: ['piping'],
      notions: notions.some(({ id }) => id === 'piping-cord') ? ['piping-cord'] : [],
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      on: { piece: 'piping', stage: 'dress' },
    },
    {
      id: 'sew-piping',
      kind: 'sew',
      place: 'machine',
      minutes: besideZipMinutes(round) + 4 * rates.curve,
      stitchedMm: round,
      name: 'Piping on the outer',
      does: `On the outer’s right side${has(work, 'padding') ? ', through the foam' : ''}, cord inwards, its allowance clipped at the corners; the ends cross at the foot of the spine.`,
      why: 'Its line leads every later seam.',
      pieces: those(work, 'outer', 'padding', 'piping'),
      face: 'right side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      check: {
        ask: 'Does the cord point inwards all round, without a pull at the corners?',
        ifNot: 'Take that corner out and ease more in.',
        cost: 'cheap',
      },
      needs: ['make-piping', 'round-corners'],
    },
  ]
}

function gussetSteps(work: Work<ZipAroundOptions>): readonly Draft[] {
  const { job } = work
  const { gussetEnds } = resolveOptions(job)
  const { wide, high } = sizeMm(work, 'gusset')
  const pieces = those(work, 'gusset', 'gusset-lining')
  return [
    {
      id: 'gusset-to-zip',
      kind: 'sew',
      place: 'machine',
      minutes: 2 * besideZipMinutes(wide) * 2,
      stitchedMm: 4 * wide,
      name: 'Gusset halves to the two tapes',
      does: `Each half (${saySize(work, pieceOn(work, 'gusset'))}) and its lining on both sides of a tape, right sides together; turn, press, top-stitch.`,
      why: 'The tapes are inside, the seam is not seen.',
      pieces,
      notions: ['zip'],
      tools: ['zip foot', 'iron', 'sewing machine'],
      cautions: ['needles', 'hot-iron'],
      check: {
        ask: 'Do both halves close together, right sides out, ends level?',
        ifNot: 'Unpick one half and turn it.',
        cost: 'costly',
      },
    },
    {
      id: 'gusset-ends',
      kind: 'hem',
      place: 'machine',
      minutes: 4 * hemMinutes(high),
      stitchedMm: 4 * high,
      name: gussetEnds === 'faced' ? 'Face the gusset’s ends' : 'Bind the gusset’s ends',
      does:
        gussetEnds === 'faced'
          ? 'Sew the short ends of gusset and lining together, turn.'
          : 'A scrap folded over each short end and stitched, or a dense zigzag.',
      why: 'They are seen at the spine.',
      pieces,
      tools: ['sewing machine'],
      cautions: ['needles'],
      needs: ['gusset-to-zip'],
    },
  ]
}

function flapSteps(work: Work<ZipAroundOptions>, flap: string, flaps: readonly string[]): readonly Draft[] {
  const { high } = sizeMm(work, flap)
  const faced = flap === 'flap-outer'
  return [
    {
      id: 'press-flaps',
      kind: faced ? 'sew' : 'press',
      place: faced ? 'machine' : 'iron',
      minutes: 2 * (faced ? 2 * sewingMinutes(high) : pressingMinutes(high)),
      ...(faced && { stitchedMm: 4 * high }),
      name: faced ? 'Face the flaps' : 'Fold and press the flaps',
      does: faced
        ? 'Flap and facing right sides together: sew the inner edge, turn, press, top-stitch.'
        : 'Fold each flap in half along its height, wrong sides together; press.',
      why: 'The board slides under this edge.',
      pieces: flaps,
      tools: ['iron', ...(faced ? ['sewing machine'] : [])],
      cautions: ['hot-iron'],
    },
  ]
}

function liningSteps(work: Work<ZipAroundOptions>, from: string): readonly Draft[] {
  const { wide, high } = sizeMm(work, 'lining')
  const { say, unit } = work
  return [
    {
      id: 'hem-lining',
      kind: 'hem',
      place: 'machine',
      minutes: 2 * hemMinutes(high),
      stitchedMm: 2 * high,
      name: 'Hem the lining’s short sides',
      does: `Lining (${saySize(work, pieceOn(work, 'lining'))}): ${say(customary(1 / 4, unit))}, then ${say(customary(3 / 8, unit))} to the wrong side; stitch.`,
      why: 'They lie open under the flaps.',
      pieces: ['lining'],
      tools: ['iron', 'sewing machine'],
      cautions: ['hot-iron', 'needles'],
      on: { piece: 'lining', stage: 'dress' },
    },
    {
      id: 'sew-lining',
      kind: 'sew',
      place: 'machine',
      minutes: pinningMinutes(2 * wide) + sewingMinutes(2 * wide),
      stitchedMm: 2 * wide,
      name: 'Sew the centre lining',
      does: `Over the flaps, right side down, in the middle; top and bottom, from ${from}, on or inside the last line.`,
      why: 'The last pass closes everything in.',
      pieces: ['lining', 'outer'],
      face: 'wrong side',
      tools: ['zip foot', 'sewing machine'],
      cautions: ['needles'],
      joining: 'lining',
      needs: ['sew-flaps', 'hem-lining'],
    },
  ]
}

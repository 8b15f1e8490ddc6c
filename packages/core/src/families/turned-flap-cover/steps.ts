import { zero } from '../../length/length.js'
import { has, pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { hemMinutes, markingMinutes, pressingMinutes, rates, sewingMinutes } from '../../make/minutes.js'
import {
  clipCorners,
  finish,
  layTogether,
  lookAtSides,
  pressTurned,
  sewRound,
  turnOut,
} from '../../make/techniques.js'
import { customary } from '../../length/unit.js'
import type { Work } from '../contract.js'
import { openingOf } from '../opening.js'
import { openingPlaces } from '../opening-place.js'
import { resolveOptions, type TurnedFlapOptions } from './options.js'

/** One strip whose ends fold back, its folds set on the book. Source: docs/craft.md, Making. */
export function steps(work: Work<TurnedFlapOptions>): readonly Draft[] {
  const resolved = resolveOptions(work.job)
  return resolved.construction === 'single' ? fitted(work) : lined(work)
}

function lined(work: Work<TurnedFlapOptions>): readonly Draft[] {
  const { made, say } = work
  const { wide, high, round } = sizeMm(work, 'outer')
  const walls = those(work, 'outer', 'lining')
  const opening = { length: openingOf(made) ?? zero, where: openingPlaces['long-side'].where }
  const flap = made.strip.panels[0]?.width ?? zero
  return [
    layTogether(work, {
      id: 'lay-pile',
      name: 'Outer and lining right sides together',
      does: `Outer (${saySize(work, pieceOn(work, 'outer'))}) right side up, lining right side down; clip all round.`,
      pieces: walls,
      aroundMm: round,
      opening,
    }),
    lookAtSides({
      ask: 'Do print and arrows point to the same long side on both, and is the opening clear of what is caught?',
      needs: ['lay-pile'],
      pieces: walls,
    }),
    unheld(
      sewRound(work, {
        name: 'Sew all round',
        pieces: walls,
        aroundMm: round,
        opening,
        joining: 'turn-strip',
        needs: ['check-sides'],
      }),
    ),
    clipCorners(work, { pieces: walls, aroundMm: round, needs: ['sew-round'] }),
    turnOut({ pieces: walls, needs: ['clip-corners'], through: `the opening of ${say(opening.length)}` }),
    pressTurned(walls, round, ['turn-out']),
    {
      id: 'mark-folds',
      kind: 'mark',
      place: 'table',
      minutes: 2 * markingMinutes(high),
      name: 'Mark both fold lines on the closed book',
      does: `Lay it round the closed book, the leaf block upright, the same over at both fore-edges: about ${say(flap)} each. Mark where it folds, at top and bottom of both boards.`,
      why: 'The folds are set on the thing, so the width always goes on.',
      pieces: walls,
      face: 'outside',
      tools: ['pins or clips'],
      measures: [{ piece: 'outer', side: 'flap' }],
      check: {
        ask: 'Is the leaf block upright, and is the cover level at the top all along?',
        ifNot: 'Close the book again, knock it upright on the table, and mark anew.',
        cost: 'cheap',
      },
      turn: 'folds',
      needs: ['press-turned'],
    },
    {
      id: 'fold-flaps',
      kind: 'fold',
      place: 'iron',
      minutes: 2 * pressingMinutes(high),
      name: 'Fold the ends in',
      does: 'Fold both ends to the lining on the marked lines; press lightly and clip, the clips off the fold.',
      why: 'What is folded on the line is as wide as the book.',
      pieces: walls,
      face: 'inside',
      tools: ['iron', 'clips'],
      cautions: ['hot-iron'],
      needs: ['mark-folds'],
    },
    {
      id: 'try-in',
      kind: 'try-in',
      place: 'table',
      minutes: rates.tryingIn,
      name: 'Close it with the book in',
      does: 'Both boards into the clipped flaps, close the book slowly.',
      why: 'Until the edge-stitch the folds can still be moved.',
      pieces: walls,
      check: {
        ask: 'Does it close, and does nothing buckle at the spine?',
        ifNot: 'Move one fold a sixteenth (1.5 mm) at a time, and try again.',
        cost: 'cheap',
      },
      gate: true,
      cautions: ['stiff-spine'],
      needs: ['fold-flaps'],
    },
    {
      id: 'close-flaps',
      kind: 'topstitch',
      place: 'machine',
      minutes: sewingMinutes(wide * 2 + high * 2, 4),
      stitchedMm: wide * 2 + high * 2,
      name: 'Edge-stitch top and bottom',
      does: 'Pins off the folds. Stitch close to the edge all round, back and forth at the four corners of the flaps; it closes the opening, too.',
      why: 'The corners of the flaps carry the boards.',
      pieces: walls,
      face: 'inside',
      tools: ['sewing machine'],
      cautions: ['needles'],
      joining: 'fold-flaps',
      turn: ['catches', 'last'],
      needs: ['try-in'],
    },
    finishing(['close-flaps'], walls),
  ]
}

/** This seam catches nothing: what is held lies at the folds. */
function unheld({ turn: _turn, ...draft }: Draft): Draft {
  return draft
}

function finishing(needs: readonly string[], pieces: readonly string[]): Draft {
  return finish({
    does: 'Stiffer board in first, the other bent in after it.',
    needs,
    pieces,
    check: {
      ask: 'Does the book open flat and close without strain?',
      ifNot: 'Write down by how much it pulls: the next one is planned from it.',
      cost: 'cheap',
    },
  })
}

/** One line, then one trying-on: the leaf block upright every time. */
function fitted(work: Work<TurnedFlapOptions>): readonly Draft[] {
  const { say, made, unit, job } = work
  const { endHem, innerHalf } = resolveOptions(job)
  const { wide, high } = sizeMm(work, 'outer')
  const flap = made.strip.panels[0]?.width ?? zero
  const thumbnail = say(customary(1 / 16, unit))
  const line = (id: string, name: string, does: string, needs: string): readonly Draft[] => [
    {
      id: `mark-${id}`,
      kind: 'fit',
      place: 'table',
      minutes: rates.tryingIn + markingMinutes(high),
      name: `Mark ${name} on the book`,
      does: `${does} Mark a thumbnail (${thumbnail}) outside the board’s edge, never on it; the leaf block upright.`,
      why: 'One line at a time: each moves the next.',
      pieces: ['outer'],
      face: 'wrong side',
      tools: ['pencil or pins'],
      cautions: ['stiff-spine'],
      measures: [{ piece: 'outer', side: id.startsWith('second') ? 'flap' : 'height' }],
      needs: [needs],
    },
    {
      id: `sew-${id}`,
      kind: 'sew',
      place: 'machine',
      minutes: sewingMinutes(high / 4),
      stitchedMm: high / 4,
      name: `Sew ${name}`,
      does:
        innerHalf === 'open'
          ? 'Book out. Sew the marked line on the outer half of the flap only, back and forth at both ends.'
          : 'Book out. Sew the marked line across the flap, back and forth at both ends.',
      why: 'Both ends carry the board.',
      pieces: ['outer'],
      face: 'wrong side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      needs: [`mark-${id}`],
    },
  ]
  const folded = (id: string, name: string, does: string, needs: string): Draft => ({
    id,
    kind: 'fold',
    place: 'iron',
    minutes: pressingMinutes(high),
    name,
    does,
    why: 'A pressed fold stays where the book set it.',
    pieces: ['outer'],
    tools: ['iron'],
    cautions: ['hot-iron'],
    needs: [needs],
  })
  return [
    {
      id: 'hem-ends',
      kind: 'hem',
      place: 'machine',
      minutes: 2 * hemMinutes(high),
      stitchedMm: 2 * high,
      name: 'Hem both ends',
      does: `Turn the short ends to the wrong side, ${say(endHem)} in all; press and stitch.`,
      why: 'The hem is the edge of the flap.',
      pieces: ['outer'],
      face: 'wrong side',
      tools: ['iron', 'sewing machine'],
      cautions: ['hot-iron', 'needles'],
      check: {
        ask: 'Are the hems on the short ends, both to the wrong side?',
        ifNot: 'Unpick the one that is not.',
        cost: 'costly',
      },
    },
    folded(
      'fold-first',
      'Fold the first flap',
      `Fold one end ${say(flap)} over, right sides together, round the front board.`,
      'hem-ends',
    ),
    ...line('first-top', 'the top of the first flap', 'Front board into the fold.', 'fold-first'),
    ...line(
      'first-bottom',
      'the foot of the first flap',
      'Book in again, pushed up against the sewn line.',
      'sew-first-top',
    ),
    {
      ...folded(
        'fold-second',
        'Fold the second flap',
        'Book in and closed. Pull the cloth round it until it is just snug, mark the fold at the other fore-edge; book out, press, right sides together.',
        'sew-first-bottom',
      ),
      // Both fore-edges are known: what is held there is stitched on before this flap is closed over it.
      turn: 'folds',
    },
    ...line(
      'second-top',
      'the top of the second flap',
      'Back board into the fold, the first flap on.',
      'fold-second',
    ).map(step => (step.kind === 'sew' ? { ...step, turn: 'catches' as const } : step)),
    ...line(
      'second-bottom',
      'the foot of the second flap',
      'Book in again, pushed up against the sewn line.',
      'sew-second-top',
    ),
    {
      id: 'check-sides',
      kind: 'inspect',
      place: 'table',
      minutes: rates.inspecting,
      name: 'Look at both flaps',
      does: 'Turn the flaps for a moment and look: both fold to the inside, the print upright.',
      why: 'It is still one seam to unpick.',
      pieces: ['outer'],
      check: {
        ask: 'Do both flaps fold to the inside, print and pockets upright?',
        ifNot: 'Unpick the two lines of that flap.',
        cost: 'costly',
      },
      gate: true,
      turn: 'looks',
      needs: ['sew-second-bottom'],
    },
    {
      id: 'try-in',
      kind: 'try-in',
      place: 'table',
      minutes: rates.tryingIn,
      name: 'Try the book in',
      does: 'Turn the flaps right side out, both boards in, close the book.',
      why: 'The lines can still be moved before the edges are pressed and glued.',
      pieces: ['outer'],
      check: {
        ask: 'Does it close, snug and without strain?',
        ifNot: 'Take out the line that pulls and sew it a hair further out.',
        cost: 'costly',
      },
      gate: true,
      cautions: ['stiff-spine'],
      needs: ['check-sides'],
    },
    {
      id: 'press-edges',
      kind: 'press',
      place: 'iron',
      minutes: pressingMinutes(2 * wide),
      name: 'Press top and bottom over the ruler',
      does: 'Raw top and bottom edges stay wide. Press them in over a metal ruler laid inside, along the sewn lines.',
      why: 'Wide allowances need no clipping and hold the edge straight.',
      pieces: ['outer'],
      face: 'inside',
      tools: ['iron', 'metal ruler'],
      cautions: ['hot-iron'],
      needs: ['try-in'],
    },
    {
      id: 'tack-edges',
      kind: 'hand-sew',
      place: 'hand',
      minutes: rates.ladder + rates.knot,
      name: 'Fold the raw edges under',
      does: 'Fold the raw edges under and tack them, or leave them as they are where the cloth does not fray.',
      why: 'Nothing catches on the book’s corners.',
      pieces: ['outer'],
      tools: ['needle', 'thread'],
      cautions: ['needles'],
      turn: 'last',
      needs: ['press-edges'],
    },
    finishing(['tack-edges'], has(work, 'outer') ? ['outer'] : []),
  ]
}

import { toMm } from '../../length/length.js'
import { pieceOn, saySize, sizeMm } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { gluingMinutes, rates, turnInMinutes, waits } from '../../make/minutes.js'
import { finish } from '../../make/techniques.js'
import { customary } from '../../length/unit.js'
import { largestReading } from '../../object/reading.js'
import type { Work } from '../contract.js'
import { resolveOptions, type GluedWrapOptions } from './options.js'

/** Glue while it is soft: spine and boards, corners, edges, weight. Source: docs/craft.md, Making. */
export function steps(work: Work<GluedWrapOptions>): readonly Draft[] {
  const { say, unit, job } = work
  const { turnIn, pastedown, order, hingeGroove } = resolveOptions(job)
  const { area, round } = sizeMm(work, 'outer')
  const board = area / 2.3
  const spine = area / 12
  const groove = hingeGroove > 0 ? ' Press the groove in first with a folder.' : ''
  const outer = ['outer']
  const coat = 'a thin, even coat, from the middle outwards'
  const spineStep = (needs: readonly string[]): Draft => ({
    id: 'glue-spine',
    kind: 'glue',
    place: 'glue',
    minutes: gluingMinutes(spine) + rates.smoothing,
    name: 'Glue the spine',
    does: `Brush ${coat} on the spine’s strip of the cloth; stand the book on it and smooth.`,
    why: 'Thin, or it strikes through.',
    pieces: outer,
    face: 'wrong side',
    tools: ['brush', 'bone folder'],
    cautions: ['glue'],
    needs,
    within: 10,
  })
  const boardStep = (
    id: string,
    which: string,
    needs: readonly string[],
    extra: Partial<Draft> = {},
  ): Draft => ({
    id,
    kind: 'glue',
    place: 'glue',
    minutes: gluingMinutes(board) + rates.smoothing,
    name: `Glue the ${which}`,
    does: `Brush ${coat}; lay the cloth over the ${which}.${groove} Smooth from the spine outwards.`,
    why: 'From the spine outwards no bubble is shut in.',
    pieces: outer,
    face: 'outside',
    tools: ['brush', 'bone folder'],
    cautions: ['glue'],
    needs,
    within: 10,
    ...extra,
  })
  const covering =
    order === 'spine-first'
      ? [
          { ...spineStep(['trim-turn-in']), joining: 'glue-spine-and-boards', notions: ['glue'] },
          boardStep('glue-front', 'front board', ['glue-spine']),
          boardStep('glue-back', 'back board', ['glue-front']),
        ]
      : [
          boardStep('glue-front', 'front board', ['trim-turn-in'], {
            joining: 'glue-spine-and-boards',
            notions: ['glue'],
          }),
          spineStep(['glue-front']),
          boardStep('glue-back', 'back board', ['glue-spine']),
        ]
  return [
    {
      id: 'trim-turn-in',
      kind: 'trim',
      place: 'table',
      minutes: rates.marking + (rates.trimmingPer100 * round) / 100,
      name: 'Lay the book on the cloth, trim to the turn-in',
      does: `Cloth (${saySize(work, pieceOn(work, 'outer'))}) face down, the book on it. Draw round it with ${say(turnIn)} to spare from the boards’ outer edges, and trim to the line.`,
      why: 'A turn-in of one width glues flat.',
      pieces: outer,
      face: 'wrong side',
      tools: ['pencil', 'scissors'],
      cautions: ['blades', 'old-books'],
      check: {
        ask: 'Is the print upright on the front, and is there as much to spare on all sides?',
        ifNot: 'Turn or shift the book before you trim.',
        cost: 'too-late',
      },
      gate: true,
    },
    ...covering,
    {
      id: 'check-bubbles',
      kind: 'inspect',
      place: 'glue',
      minutes: rates.inspecting,
      name: 'Look for bubbles while it is damp',
      does: 'Look along the boards against the light; press every bubble to the nearest edge.',
      why: 'Once it sets, a bubble stays.',
      pieces: outer,
      check: {
        ask: 'Is there no bubble, no glue through the cloth, and is the groove still sharp?',
        ifNot: 'Lift that corner, brush again, smooth anew: the glue is still soft.',
        cost: 'cheap',
      },
      gate: true,
      needs: ['glue-back'],
      turn: 'looks',
    },
    {
      id: 'slits-and-tails',
      kind: 'clip',
      place: 'table',
      minutes: rates.slitsAndTails,
      name: 'Slits and tails at the spine',
      does: `At top and bottom cut two slits, the spine’s width apart, and small triangles beside them. Narrow each tongue by ${say(customary(1 / 4, unit))}.`,
      why: 'The tongues go between spine and pages.',
      pieces: outer,
      tools: ['scissors'],
      cautions: ['blades'],
      turn: 'folds',
      needs: ['check-bubbles'],
    },
    {
      id: 'glue-corners',
      kind: 'glue',
      place: 'glue',
      minutes: 4 * rates.turnInCorner,
      name: 'Glue the corners',
      does: 'Fold each corner in as a right triangle and glue it down.',
      why: 'Corners first, or their raw edges show.',
      pieces: outer,
      face: 'inside',
      tools: ['brush', 'bone folder'],
      cautions: ['glue'],
      needs: ['slits-and-tails'],
    },
    {
      id: 'turn-in-edges',
      kind: 'glue',
      place: 'glue',
      minutes: turnInMinutes(round, 0) + gluingMinutes(round * toMm(turnIn)),
      name: 'Turn the edges in',
      does: `Glue the ${say(turnIn)} turn-ins, the board half shut while they go in.`,
      why: 'Half shut, the cloth sinks into the groove and the cover still opens.',
      pieces: outer,
      face: 'inside',
      tools: ['brush', 'bone folder'],
      cautions: ['glue'],
      joining: 'turn-in',
      turn: 'catches',
      needs: ['glue-corners'],
    },
    {
      id: 'tuck-tails',
      kind: 'glue',
      place: 'glue',
      minutes: rates.slitsAndTails,
      name: 'Tuck the tails in',
      does: `Trim the tongues to ${say(customary(1 / 2, unit))}–${say(customary(1, unit))}, glue them, and push them between spine and pages with a flat stick.`,
      why: 'The ends of the spine are finished so.',
      pieces: outer,
      tools: ['flat stick', 'scissors'],
      cautions: ['glue', 'blades'],
      needs: ['turn-in-edges'],
    },
    {
      id: 'under-weight',
      kind: 'glue',
      place: 'press',
      minutes: 2,
      wait: waits.night,
      name: 'Waxed paper, weight, a night',
      does: 'Waxed paper inside both covers; flat under a weight. Change the paper after 20 minutes.',
      why: 'Moisture bends boards that dry free, and pages stick.',
      pieces: outer,
      tools: ['waxed paper', 'weight'],
      cautions: ['wet-boards'],
      check: {
        ask: 'Is there waxed paper at both covers, and nothing stuck to the page edges?',
        ifNot: 'Free the pages with a thin folder now, while it is damp.',
        cost: 'costly',
      },
      gate: true,
      needs: ['tuck-tails'],
    },
    ...(pastedown
      ? [
          {
            id: 'glue-pastedowns',
            kind: 'glue',
            place: 'glue',
            minutes: 2 * (gluingMinutes(sizeMm(work, 'pastedown').area) + rates.smoothing),
            wait: waits.night,
            name: 'Glue the pastedowns in',
            does: `Each pastedown (${saySize(work, pieceOn(work, 'pastedown'))}) over the turn-ins of a board, even at three edges; smooth, waxed paper, weight.`,
            why: 'It hides the turn-ins and pulls against the cloth outside.',
            pieces: ['pastedown'],
            face: 'right side',
            tools: ['brush', 'bone folder', 'weight'],
            cautions: ['glue', 'wet-boards'],
            joining: 'pastedowns',
            needs: ['under-weight'],
          } as const,
        ]
      : []),
    {
      id: 'dry',
      kind: 'inspect',
      place: 'table',
      minutes: rates.inspecting,
      name: 'Open it slowly',
      does: 'Open one cover, then the other, a few pages at a time.',
      why: 'A hinge that cracks is glued again before it is used.',
      pieces: outer,
      check: {
        ask: `Does the hinge open freely${largestReading(job.object, 'grooveDepth') === undefined ? '' : ', the groove still there'}?`,
        ifNot: 'Damp the hinge a little, work the groove with the folder, and let it dry open a crack.',
        cost: 'costly',
      },
      turn: 'last',
      needs: [pastedown ? 'glue-pastedowns' : 'under-weight'],
    },
    finish({
      does: 'Brush a sealing coat on if it is wanted: an hour to dry.',
      needs: ['dry'],
      pieces: outer,
      check: {
        ask: 'Is it dry, flat and clean?',
        ifNot: 'Back under the weight for a night.',
        cost: 'cheap',
      },
    }),
  ]
}

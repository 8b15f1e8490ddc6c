import { customary } from '../../length/unit.js'
import { has, pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import {
  bastingMinutes,
  pinningMinutes,
  pressingMinutes,
  rates,
  trimmingMinutes,
  zigzagMinutes,
} from '../../make/minutes.js'
import { finish } from '../../make/techniques.js'
import type { Work } from '../contract.js'
import { resolveOptions, type SoftWrapOptions } from './options.js'

/** Score, tack, sandwich, zigzag, trim, sew the signatures. Source: docs/craft.md, Making. */
export function steps(work: Work<SoftWrapOptions>): readonly Draft[] {
  const { say, unit, made, job } = work
  const { signatures, spineWidth, flap } = resolveOptions(job)
  const { wide, high, round } = sizeMm(work, 'outer')
  const plies = those(work, 'outer', 'interfacing', 'lining')
  const stiffened = has(work, 'stiffener')
  const stations = made.strip.holes.length
  const corner = say(customary(1, unit))
  const under = has(work, 'interfacing') ? 'interfacing' : has(work, 'lining') ? 'lining' : 'outer'
  return [
    ...(stiffened
      ? ([
          {
            id: 'score-stiffener',
            kind: 'fold',
            place: 'table',
            minutes: rates.marking * 3 + 3 * rates.smoothing,
            name: 'Score and fold the stiffener',
            does: `Stiffener (${saySize(work, pieceOn(work, 'stiffener'))}): score at the panel lines, the spine ${say(spineWidth)} wide; a ready score goes on a spine line. Fold it before it is tacked.`,
            why: 'Card that is folded first does not crack later.',
            pieces: ['stiffener'],
            tools: ['bone folder', 'ruler'],
            on: { piece: 'stiffener', stage: 'dress' },
          },
          {
            id: 'tack-stiffener',
            kind: 'baste',
            place: 'machine',
            minutes: bastingMinutes(2 * high),
            stitchedMm: 2 * high,
            name: `Tack the stiffener to the ${under}`,
            does: `Card side out, clear of the edge all round and of the flap; a few long stitches.`,
            why: 'It must not slide into the zigzag.',
            pieces: ['stiffener', under],
            tools: ['sewing machine'],
            cautions: ['needles'],
            needs: ['score-stiffener'],
            check: {
              ask: 'Is the edge free all round, and the flap without card?',
              ifNot: 'Take the tacking out and shift it.',
              cost: 'cheap',
            },
          },
        ] as const)
      : []),
    {
      id: 'lay-sandwich',
      kind: 'baste',
      place: 'table',
      minutes: pinningMinutes(round),
      name: 'Lay the sandwich together',
      does: `${plies.includes('lining') ? 'Lining right side down, ' : ''}${stiffened ? 'the stiffener on it, ' : ''}outer (${saySize(work, pieceOn(work, 'outer'))}) right side up. Pin the straight edges first; round the flap’s corners to ${corner}, then pin them.`,
      why: 'Corners are rounded through all plies at once.',
      pieces: [...plies, ...(stiffened ? ['stiffener'] : [])],
      face: 'outside',
      tools: ['pins', 'scissors'],
      cautions: ['needles', 'blades'],
      needs: stiffened ? ['tack-stiffener'] : [],
    },
    {
      id: 'check-sides',
      kind: 'inspect',
      place: 'table',
      minutes: rates.inspecting,
      name: 'Look at sides and directions',
      does: `Flap (${say(flap)}) at the right, outside up; open it once like a book.`,
      why: 'Before the zigzag a pin is all that holds it.',
      pieces: plies,
      check: {
        ask: 'Is the flap on the side where it will wrap over, do inside pockets open the right way up, and is the ribbon in?',
        ifNot: 'Take the pins out and turn that ply.',
        cost: 'cheap',
      },
      gate: true,
      turn: 'looks',
      needs: ['lay-sandwich'],
    },
    {
      id: 'zigzag-round',
      kind: 'sew',
      place: 'machine',
      minutes: zigzagMinutes(round, 2) + 2 * rates.curve,
      stitchedMm: round,
      name: 'Zigzag round the raw edge',
      does: `In a thread that may show, close to the edge all round, ${say(customary(1 / 8, unit))} in; starts and stops wherever it pleases.`,
      why: 'The raw edge is the finish.',
      pieces: plies,
      face: 'outside',
      tools: ['sewing machine'],
      cautions: ['needles'],
      joining: 'close-edge',
      turn: 'catches',
      needs: ['check-sides'],
    },
    ...(has(work, 'interfacing')
      ? [
          {
            id: 'trim-interfacing',
            kind: 'trim',
            place: 'table',
            minutes: trimmingMinutes(round),
            name: 'Trim the interfacing back',
            does: 'From between the layers, back to the stitching.',
            why: 'It shows at a frayed edge.',
            pieces: ['interfacing'],
            tools: ['small scissors'],
            cautions: ['blades'],
            needs: ['zigzag-round'],
          } as const,
        ]
      : []),
    {
      id: 'press-wrap',
      kind: 'press',
      place: 'iron',
      minutes: pressingMinutes(wide * 2),
      name: 'Press; fray the edge if it is wanted',
      does: 'Press the panels, not the folds. Fray the edge to the stitching where it pleases; a row of stitches across the flap if it puckers, not twice.',
      why: 'What is frayed to the stitching frays no further.',
      pieces: plies,
      tools: ['iron'],
      cautions: ['hot-iron'],
      turn: 'last',
      needs: [has(work, 'interfacing') ? 'trim-interfacing' : 'zigzag-round'],
    },
    ...(stations > 0
      ? ([
          {
            id: 'prick-stations',
            kind: 'punch',
            place: 'table',
            minutes: rates.template + stations * rates.hole,
            name: 'Prick the stations',
            does: `${stations} stations along the spine for ${signatures} signatures, from the inside, with the template.`,
            why: 'The thread finds its way.',
            pieces: plies,
            face: 'inside',
            tools: ['awl', 'template'],
            cautions: ['punches'],
            needs: ['press-wrap'],
          },
          {
            id: 'sew-signatures',
            kind: 'hand-sew',
            place: 'hand',
            minutes: stations * rates.station,
            name: 'Sew the signatures in',
            does: 'One after the other, in at the middle station, out at the next; the knot inside.',
            why: 'Each can be taken out again by itself.',
            pieces: plies,
            tools: ['needle', 'waxed thread'],
            cautions: ['needles'],
            needs: ['prick-stations'],
          },
        ] as const)
      : []),
    finish({
      does: 'Close it, wrap the flap over, wind the ribbon.',
      needs: [stations > 0 ? 'sew-signatures' : 'press-wrap'],
      pieces: plies,
      check: {
        ask: 'Does the flap reach over, and do the pages lie inside the edges?',
        ifNot: 'Write down what is over or lacking.',
        cost: 'cheap',
      },
    }),
  ]
}

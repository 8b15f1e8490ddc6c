import { customary } from '../../length/unit.js'
import { has, pieceOn, saySize, sizeMm, those } from '../../make/bench.js'
import type { Draft } from '../../make/draft.js'
import { beadMinutes, gluingMinutes, rates, turnInMinutes, waits, zigzagMinutes } from '../../make/minutes.js'
import { finish } from '../../make/techniques.js'
import type { Work } from '../contract.js'
import { resolveOptions, type BoardCoverOptions } from './options.js'

/** Laminate, cover, turn in, stitch round, line, punch and bind. Source: docs/craft.md, Making. */
export function steps(work: Work<BoardCoverOptions>): readonly Draft[] {
  const { binding } = resolveOptions(work.job)
  const hidden = binding === 'sewn-hidden'
  return [
    ...laminating(work),
    ...covering(work),
    ...(hidden ? sewSignatures(work, 'spine-lining', ['stitch-case']) : []),
    ...lining(work, hidden ? ['sew-signatures'] : ['stitch-case']),
    ...(binding === 'elastic' ? elastic(work) : hidden ? [] : sewSignatures(work, 'outer', ['glue-linings'])),
    finish({
      does: 'Shut the case, lay it down, open it: it lies flat both ways.',
      needs: [binding === 'elastic' ? 'thread-elastic' : hidden ? 'glue-linings' : 'sew-signatures'],
      pieces: ['outer'],
      check: {
        ask: 'Does it close over its contents and lie flat?',
        ifNot: 'If it arches, the cord is too tight: undo the knot and give it a little.',
        cost: 'cheap',
      },
    }),
  ]
}

function laminating(work: Work<BoardCoverOptions>): readonly Draft[] {
  const { sheets } = resolveOptions(work.job)
  if (sheets < 2) return []
  const boards = 2 * (sheets - 1) * sizeMm(work, 'board').area
  const spine = (sheets - 1) * sizeMm(work, 'spine-board').area
  return [
    {
      id: 'laminate',
      kind: 'glue',
      place: 'glue',
      minutes: gluingMinutes(boards + spine) + 3 * (sheets - 1) * rates.smoothing,
      wait: waits.night,
      name: 'Laminate the sheets',
      does: `Glue the sheets of each board together, ${sheets} to a board, marks inwards, the grain from head to tail in all of them; flat under a weight.`,
      why: 'Crosswise grain warps.',
      pieces: ['board', 'spine-board'],
      tools: ['brush', 'weight'],
      cautions: ['glue', 'wet-boards'],
      check: {
        ask: 'Do all edges match, and does the grain run from head to tail?',
        ifNot: 'Slide them now, while the glue gives.',
        cost: 'cheap',
      },
      joining: 'laminate',
    },
  ]
}

function covering(work: Work<BoardCoverOptions>): readonly Draft[] {
  const { say, unit, made, job } = work
  const { turnIn, turnInHeadTail, sheets } = resolveOptions(job)
  const { round } = sizeMm(work, 'outer')
  const gap = made.strip.panels.find(({ kind }) => kind === 'gap')?.width
  const apart = gap === undefined ? 'its gap' : say(gap)
  const dry = sheets < 2 ? [] : ['laminate']
  const cloth = those(work, 'outer', 'padding', 'underlining')
  const board = sizeMm(work, 'board')
  const glueBoard = (id: string, which: string, needs: string): Draft => ({
    id,
    kind: 'glue',
    place: 'glue',
    minutes: gluingMinutes(board.area) + rates.smoothing,
    name: `Glue the ${which} board`,
    does: `${apart} from the spine board, level with it at the foot; smooth the cloth on it, then fold to test the gap.`,
    why: 'Too close, and the cover heaves when it closes.',
    pieces: ['board', 'outer'],
    face: 'wrong side',
    tools: ['brush', 'ruler', 'bone folder'],
    cautions: ['glue'],
    check: {
      ask: `Does it fold, the gap ${apart} all along and the boards level?`,
      ifNot: 'Slide the board now: glue that is smoothed grabs.',
      cost: 'cheap',
    },
    needs: [needs],
    within: 10,
  })
  return [
    ...(has(work, 'underlining')
      ? [
          {
            id: 'underline',
            kind: 'glue',
            place: 'glue',
            minutes: beadMinutes(round),
            wait: waits.glueToFold,
            name: 'Underlining to the cloth',
            does: 'A thin bead round the edge of the underlining; lay it on the wrong side of the outer and smooth from the middle.',
            why: 'Glue strikes through the underlining instead of the outer.',
            pieces: ['underlining', 'outer'],
            face: 'wrong side',
            tools: ['glue bottle', 'bone folder'],
            cautions: ['glue'],
          } as const,
        ]
      : []),
    {
      id: 'glue-spine-board',
      kind: 'glue',
      place: 'glue',
      minutes: gluingMinutes(sizeMm(work, 'spine-board').area) + rates.marking + rates.smoothing,
      name: 'Glue the spine board to the middle',
      does: `Mark the middle of the cloth (${saySize(work, pieceOn(work, 'outer'))}). The spine board on it, ${say(turnInHeadTail)} of turn-in left at head and tail.${has(work, 'padding') ? ' The batting lies between cloth and boards.' : ''}`,
      why: 'Everything else is measured from the spine.',
      pieces: [...cloth, 'spine-board'],
      face: 'wrong side',
      tools: ['brush', 'ruler'],
      cautions: ['glue'],
      joining: 'case-on-cloth',
      check: {
        ask: 'Is the print upright, and is the spine in the middle?',
        ifNot: 'Lift it off and lay it again before the glue grabs.',
        cost: 'cheap',
      },
      gate: true,
      needs: [...dry, ...(has(work, 'underlining') ? ['underline'] : [])],
      within: 10,
    },
    glueBoard('glue-front-board', 'front', 'glue-spine-board'),
    glueBoard('glue-back-board', 'back', 'glue-front-board'),
    {
      id: 'turn-in-corners',
      kind: 'glue',
      place: 'glue',
      minutes: turnInMinutes(0, 4),
      name: 'Turn the corners in',
      does: 'Fold each corner in whole, or cut it at 45°, one and a half board thicknesses off the board, and glue it.',
      why: 'Corners before edges, or a raw end shows.',
      pieces: ['outer'],
      face: 'inside',
      tools: ['brush', 'scissors', 'bone folder'],
      cautions: ['glue', 'blades'],
      needs: ['glue-back-board'],
    },
    {
      id: 'turn-in-edges',
      kind: 'glue',
      place: 'glue',
      minutes: turnInMinutes(round, 0),
      wait: waits.glueToStitch,
      name: 'Turn the edges in',
      does: `Sides, then top and bottom: ${say(turnIn)} of turn-in, pulled just taut over the board’s edge.`,
      why: 'No machine on wet glue: two hours before stitching.',
      pieces: ['outer'],
      face: 'inside',
      tools: ['brush', 'bone folder'],
      cautions: ['glue', 'wet-boards'],
      joining: 'turn-in',
      check: {
        ask: 'Is every edge tight over the board, and does the case still fold at both gaps?',
        ifNot: 'Lift that edge while it is damp.',
        cost: 'cheap',
      },
      gate: true,
      needs: ['turn-in-corners'],
    },
    {
      id: 'stitch-case',
      kind: 'topstitch',
      place: 'machine',
      minutes: zigzagMinutes(round, 4),
      stitchedMm: round,
      name: 'Stitch round the case',
      does: `Long stitches ${say(customary(1 / 4, unit))} from the edge all round, needle down at corners, off the glue.`,
      why: 'It holds the turn-in when the glue is old.',
      pieces: ['outer', 'board'],
      tools: ['sewing machine', 'strong needle'],
      cautions: ['needles'],
      turn: 'folds',
      needs: ['turn-in-edges'],
    },
  ]
}

function lining(work: Work<BoardCoverOptions>, needs: readonly string[]): readonly Draft[] {
  const spine = sizeMm(work, 'spine-lining')
  const panel = sizeMm(work, 'lining')
  return [
    {
      id: 'stitch-spine-lining',
      kind: 'sew',
      place: 'machine',
      minutes: zigzagMinutes(2 * spine.wide),
      stitchedMm: 2 * spine.wide,
      name: 'Stitch the spine lining at head and tail',
      does: 'A row of stitches across both ends; 2 mm at least, or card tears along it.',
      why: 'Its ends are seen.',
      pieces: ['spine-lining'],
      face: 'right side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      on: { piece: 'spine-lining', stage: 'dress' },
    },
    {
      id: 'glue-spine-lining',
      kind: 'glue',
      place: 'glue',
      minutes: gluingMinutes(spine.area) + rates.smoothing,
      name: 'Glue the spine lining in',
      does: `(${saySize(work, pieceOn(work, 'spine-lining'))}) over spine board and both gaps, even at head and tail.`,
      why: 'It is the inner half of both hinges.',
      pieces: ['spine-lining', 'spine-board'],
      face: 'right side',
      tools: ['brush', 'bone folder'],
      cautions: ['glue'],
      joining: 'linings',
      needs,
      within: 5,
    },
    {
      id: 'crease-gaps',
      kind: 'fold',
      place: 'glue',
      minutes: rates.smoothing,
      wait: waits.glueToFold,
      name: 'Crease it into both gaps',
      does: 'Press it into both gaps with the folder while the glue is soft. No hard bend before it sets.',
      why: 'A lining that spans a gap tears at the first fold.',
      pieces: ['spine-lining'],
      tools: ['bone folder'],
      check: {
        ask: 'Does it lie in both gaps all along?',
        ifNot: 'Lift it and crease again: the glue is soft for minutes only.',
        cost: 'costly',
      },
      gate: true,
      needs: ['glue-spine-lining'],
    },
    {
      id: 'stitch-linings',
      kind: 'topstitch',
      place: 'machine',
      minutes: 2 * zigzagMinutes(panel.round, 4),
      stitchedMm: 2 * panel.round,
      name: 'Stitch round the linings',
      does: `Each lining (${saySize(work, pieceOn(work, 'lining'))}) stitched round, which holds its pockets.`,
      why: 'Card keeps what is stitched through it.',
      pieces: ['lining'],
      face: 'right side',
      tools: ['sewing machine'],
      cautions: ['needles'],
      on: { piece: 'lining', stage: 'edge' },
      check: {
        ask: 'Are both pockets open upwards and at the same height, one lining for the left and one for the right?',
        ifNot: 'Unpick; holes in card stay, so a new lining may be quicker.',
        cost: 'too-late',
      },
      gate: true,
    },
    {
      id: 'glue-linings',
      kind: 'glue',
      place: 'glue',
      minutes: 2 * (gluingMinutes(panel.area) + rates.smoothing),
      wait: waits.night,
      name: 'Glue the linings in',
      does: 'One on each board, even at three edges, the right way up; press with the folder, waxed paper, a weight, a night.',
      why: 'They pull against the cloth outside and keep the boards flat.',
      pieces: ['lining', 'board'],
      face: 'right side',
      tools: ['brush', 'bone folder', 'weight'],
      cautions: ['glue', 'wet-boards'],
      check: {
        ask: 'Look at the print: are both the right way up?',
        ifNot: 'Peel it off at once and turn it.',
        cost: 'costly',
      },
      gate: true,
      turn: ['catches', 'last'],
      needs: ['crease-gaps', 'stitch-linings'],
    },
  ]
}

function elastic(work: Work<BoardCoverOptions>): readonly Draft[] {
  const { made, notions, say } = work
  const holes = made.strip.holes.length
  const cord = notions.find(({ id }) => id === 'cord')
  const runs = Math.max(2, holes - 2)
  return [
    {
      id: 'punch-spine',
      kind: 'punch',
      place: 'table',
      minutes: rates.template + holes * rates.hole,
      name: 'Punch the spine',
      does: `Make the template once and keep it. ${holes} holes${made.strip.holes[0] ? ` of ${say(made.strip.holes[0].diameter)}` : ''}, all punched at one depth.`,
      why: 'One template makes every refill fit.',
      pieces: ['spine-board', 'outer'],
      face: 'outside',
      tools: ['punch', 'template'],
      cautions: ['punches'],
      check: {
        ask: 'Does the template lie in the middle of the spine, its top at the top?',
        ifNot: 'Shift it before you punch.',
        cost: 'too-late',
      },
      gate: true,
      needs: ['glue-linings'],
    },
    {
      id: 'thread-elastic',
      kind: 'thread',
      place: 'table',
      minutes: runs * rates.elasticRun + rates.knot,
      name: 'Thread the elastic',
      does: `${cord?.length ? `${say(cord.length.cut)} of cord. ` : ''}From the outside in at an end hole, through the middle one, and back; ${runs} runs. Pull until the case still lies flat; a knot that can be undone.`,
      why: 'Too tight, and the cover arches.',
      pieces: ['outer'],
      notions: cord ? ['cord'] : [],
      tools: ['blunt needle'],
      cautions: ['small-parts'],
      ...(cord && { measures: [{ notion: 'cord', side: 'length' } as const] }),
      check: {
        ask: 'Does the case lie flat with the cord tied?',
        ifNot: 'Loosen the knot and give it a little.',
        cost: 'cheap',
      },
      needs: ['punch-spine'],
    },
  ]
}

function sewSignatures(
  work: Work<BoardCoverOptions>,
  through: 'outer' | 'spine-lining',
  needs: readonly string[],
): readonly Draft[] {
  const stations = Math.max(5, work.made.strip.holes.length)
  const hidden = through === 'spine-lining'
  return [
    {
      id: 'prick-stations',
      kind: 'punch',
      place: 'table',
      minutes: rates.template + stations * rates.hole,
      name: 'Prick the stations',
      does: `With the template, ${stations} stations through the ${hidden ? 'spine lining' : 'spine'} and the folds of the signatures.`,
      why: 'The thread finds its way and the folds do not tear.',
      pieces: hidden ? ['spine-lining'] : ['spine-board', 'outer'],
      tools: ['awl', 'template'],
      cautions: ['punches'],
      ...(hidden && { on: { piece: 'spine-lining', stage: 'dress' as const } }),
      needs: hidden ? [] : needs,
    },
    {
      id: 'sew-signatures',
      kind: 'hand-sew',
      place: 'hand',
      minutes: stations * rates.station,
      name: 'Sew the signatures',
      does: `One after the other, in at the middle, out at the next, back to the middle; the knot inside.${hidden ? ' To the spine lining, before it is glued.' : ''}`,
      why: hidden ? 'Outside no thread shows.' : 'Each can be taken out again by itself.',
      pieces: hidden ? ['spine-lining'] : ['outer'],
      tools: ['needle', 'waxed thread'],
      cautions: ['needles'],
      ...(hidden && { on: { piece: 'spine-lining', stage: 'dress' as const } }),
      needs: ['prick-stations', ...(hidden ? [] : needs)],
    },
  ]
}

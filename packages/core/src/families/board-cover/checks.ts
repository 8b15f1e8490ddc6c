import { findingWhen, type Finding } from '../../finding/finding.js'
import type { Repair } from '../../finding/repair.js'
import { roundUpToGrid } from '../../length/grid.js'
import { add, mm, scale, subtract, type Length } from '../../length/length.js'
import type { Job } from '../contract.js'
import type { BothWays } from '../sized.js'
import { checkTurnIn } from '../turn-in.js'
import { spineFor, type BoardCase } from './case.js'
import { resolveOptions, type BoardCoverOptions } from './options.js'

/** What can go wrong with the case as planned. Source: docs/craft.md, Board cover. */
export function checkBoardCover(
  job: Job<BoardCoverOptions>,
  made: BoardCase,
  turnIns: BothWays<Length>,
): readonly Finding[] {
  const { unit, grid, sizing } = job
  const spine = roundUpToGrid(spineFor(made), grid)
  return [
    ...findingWhen(
      made.contents > made.inside,
      'spine-too-thin',
      'option:spineWidth',
      { contents: made.contents, inside: made.inside, spine },
      set('spineWidth', 'spine board', spine),
    ),
    ...checkGap(made, grid),
    ...checkTurnIn({
      comesOut: turnIns,
      board: made.thickness,
      unit,
      grid,
      ...(sizing.mode === 'computed' && { decidedBy: turnInOf(job, turnIns) }),
    }),
  ]
}

/** What decides the shorter turn-in: where head and tail have none of their own, the one decides both. */
function turnInOf(job: Job<BoardCoverOptions>, { width, height }: BothWays<Length>) {
  const { turnIn, turnInHeadTail } = resolveOptions(job)
  return job.options.turnInHeadTail !== undefined && height < width
    ? { option: 'turnInHeadTail', asked: turnInHeadTail }
    : { option: 'turnIn', asked: turnIn }
}

function checkGap({ gap, thickness }: BoardCase, grid: Length): readonly Finding[] {
  const comfortable = scale(thickness, Math.SQRT2)
  const narrow = gap < subtract(thickness, mm(0.1))
  const most = add(scale(thickness, 3), mm(3))
  const widen = set('gap', 'gap', roundUpToGrid(comfortable, grid))
  return [
    ...findingWhen(narrow, 'gap-too-narrow', 'option:gap', { gap, least: thickness }, widen),
    ...findingWhen(!narrow && gap < comfortable, 'gap-tight', 'option:gap', { gap, comfortable }, widen),
    ...findingWhen(gap > most, 'gap-floppy', 'option:gap', { gap, most }, set('gap', 'gap', most)),
  ]
}

function set(option: string, name: string, length: Length): Repair {
  return { kind: 'set-option', option, name, length }
}

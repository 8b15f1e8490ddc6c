import { findingWhen, type Finding } from '../../finding/finding.js'
import type { Repair } from '../../finding/repair.js'
import { roundUpToGrid } from '../../length/grid.js'
import { add, mm, scale, subtract, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Job } from '../contract.js'
import { spineFor, type BoardCase } from './case.js'
import type { BoardCoverOptions, ResolvedOptions } from './options.js'

/** What can go wrong with the case as planned. Source: docs/craft.md, Board cover. */
export function checkBoardCover(
  { unit, grid }: Job<BoardCoverOptions>,
  made: BoardCase,
  { turnIn }: ResolvedOptions,
): readonly Finding[] {
  const spine = roundUpToGrid(spineFor(made), grid)
  const comfortable = customary(1 / 2, unit)
  const least = customary(1 / 4, unit)
  return [
    ...findingWhen(
      made.contents > made.inside,
      'spine-too-thin',
      'option:spineWidth',
      { contents: made.contents, inside: made.inside, spine },
      set('spineWidth', 'spine board', spine),
    ),
    ...checkGap(made, grid),
    ...findingWhen(
      turnIn < least,
      'turn-in-too-small',
      'option:turnIn',
      { turnIn, least },
      set('turnIn', 'turn-in', least),
    ),
    ...findingWhen(
      turnIn >= least && turnIn < comfortable,
      'turn-in-tight',
      'option:turnIn',
      { turnIn, comfortable },
      set('turnIn', 'turn-in', comfortable),
    ),
  ]
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

import { add, negate, scale, subtract, zero, type Length } from '../../length/length.js'
import { pressedThickness } from '../../material/material.js'
import { layerOf } from '../../material/layer.js'
import type { Piece } from '../../piece/piece.js'
import type { Job } from '../contract.js'
import type { BothWays } from '../sized.js'
import {
  foldsBetween,
  plainStrip,
  totalWidth,
  type Panel,
  type Strip,
  type StripLine,
  type StripShape,
} from '../strip.js'
import type { BoardCase } from './case.js'
import type { InsertPattern } from './inserts.js'
import type { BoardCoverOptions, ResolvedOptions } from './options.js'

export function casePanels({ boardWidth, spineWidth, gap }: BoardCase): readonly Panel[] {
  return [
    { id: 'back', name: 'back', kind: 'board', side: 'back', width: boardWidth.cut },
    { id: 'back-gap', name: 'gap', kind: 'gap', width: gap },
    { id: 'spine', name: 'spine', kind: 'spine', width: spineWidth.cut },
    { id: 'front-gap', name: 'gap', kind: 'gap', width: gap },
    { id: 'front', name: 'front', kind: 'board', side: 'front', width: boardWidth.cut },
  ]
}

/** Boards and gaps, the cloth standing out all round, linings inside, holes in the spine. */
export function layStrip(
  job: Job<BoardCoverOptions>,
  made: BoardCase,
  pieces: readonly Piece[],
  {
    options,
    pattern,
    turnIns,
  }: {
    readonly options: ResolvedOptions
    readonly pattern: InsertPattern
    readonly turnIns: BothWays<Length>
  },
): Strip {
  const panels = casePanels(made)
  const high = made.boardHeight.cut
  const total = totalWidth(panels)
  const padding = layerOf(job.stack, 'padding')
  const batting = padding ? pressedThickness(padding) : zero
  const at = [negate(add(turnIns.width, batting)), negate(add(turnIns.height, batting))] as const
  const outer = pieces.find(({ id }) => id === 'outer')
  return {
    ...plainStrip(panels, high),
    cutPieces: outer ? [{ piece: 'outer', at, width: outer.width.cut, height: outer.height.cut }] : [],
    lines: [
      ...foldsBetween(panels, high),
      ...cornerCuts(total, high, scale(made.thickness, 1.5)),
      ...pattern.lines,
    ],
    shapes: liningShapes(pieces, total, high, options.liningMargin),
    holes: pattern.holes,
  }
}

function liningShapes(
  pieces: readonly Piece[],
  total: Length,
  high: Length,
  margin: Length,
): readonly StripShape[] {
  return pieces
    .filter(({ id }) => id === 'lining' || id === 'spine-lining')
    .flatMap(({ id, width, height }) => {
      const y = scale(subtract(high, height.cut), 1 / 2)
      const shape = {
        piece: id,
        name: id.replace('-', ' '),
        face: 'inside',
        width: width.cut,
        height: height.cut,
      } as const
      if (id === 'spine-lining')
        return [{ ...shape, at: [scale(subtract(total, width.cut), 1 / 2), y] as const }]
      return [
        { ...shape, at: [margin, y] as const },
        { ...shape, at: [subtract(subtract(total, margin), width.cut), y] as const },
      ]
    })
}

/** The cloth is cut at 45°, 1½ boards from each corner. */
function cornerCuts(total: Length, high: Length, away: Length): readonly StripLine[] {
  const diagonal = scale(away, Math.SQRT2)
  const cut = (x: Length, y: Length, right: 1 | -1, down: 1 | -1): StripLine => ({
    kind: 'slit',
    from: [subtract(x, scale(diagonal, right)), y],
    to: [x, subtract(y, scale(diagonal, down))],
  })
  return [cut(zero, zero, 1, 1), cut(total, zero, -1, 1), cut(total, high, -1, -1), cut(zero, high, 1, -1)]
}

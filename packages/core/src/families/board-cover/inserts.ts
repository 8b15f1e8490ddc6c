import { add, longest, mm, scale, shortest, subtract, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import type { Notion } from '../../piece/notion.js'
import { because, less, times, totalOf, type Reason } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import type { Job } from '../contract.js'
import type { StripHole, StripLine } from '../strip.js'
import { layStations } from '../stations.js'
import type { BoardCase } from './case.js'
import type { BoardCoverOptions, ResolvedOptions } from './options.js'

/** Where the holes go and how the cord runs: one punching template for the whole spine. */
export interface InsertPattern {
  readonly holes: readonly StripHole[]
  readonly lines: readonly StripLine[]
  readonly notions: readonly Notion[]
}

type AnyJob = Job<BoardCoverOptions>

/** Holes and cord of the elastic, or the stations of sewn signatures. `left` is where the spine board begins. */
export function layInserts(
  job: AnyJob,
  made: BoardCase,
  options: ResolvedOptions,
  left: Length,
): InsertPattern {
  return options.binding === 'elastic'
    ? layElastic(job, made, options, left)
    : laySignatures(job, made, options.inserts, left)
}

/** Cord is tied when it is this much shorter than its way: it stretches by the rest. */
const stretched = 0.9

/**
 * One cord whose ends meet makes an even number of runs, the inserts rounded up; it goes through one column of holes
 * more than half as many, ½ in apart or what leaves ¼ in to the spine’s edge. Inner columns take two runs, the hops
 * between them lie outside. Cord = 0.90·(runs and hops) + 2 × 2 in to knot. Source: docs/craft.md, Board cover.
 */
function layElastic(
  { unit, grid, reckoning }: AnyJob,
  made: BoardCase,
  { inserts, cord }: Pick<ResolvedOptions, 'inserts' | 'cord'>,
  left: Length,
): InsertPattern {
  const edge = customary(1 / 4, unit)
  const [width, high] = [made.spineWidth.cut, made.boardHeight.cut]
  const runs = 2 * Math.ceil(inserts / 2)
  const room = longest(zero, scale(subtract(width, scale(edge, 2)), 1 / (runs / 2)))
  const pitch = shortest(customary(1 / 2, unit), room)
  const middle = add(left, scale(width, 1 / 2))
  const columns = Array.from({ length: runs / 2 + 1 }, (_, index) =>
    add(middle, scale(pitch, index - runs / 4)),
  )
  const [top, bottom] = [edge, subtract(high, edge)]
  const run = subtract(high, scale(edge, 2))
  const way = [...times(runs, `${runs} runs`, run), ...times(runs, `${runs} hops`, pitch)]
  const reasons =
    reckoning === 'first'
      ? cordAtFirst({ unit, inserts, run, width })
      : [
          ...way,
          ...less('a tenth to stretch', scale(totalOf(way), 1 - stretched)),
          ...because('to knot', scale(customary(2, unit), 2)),
        ]
  const length = sideRoundedUp(reasons, grid)
  return {
    holes: holesAt(columns, [top, bottom], customary(cord < mm(1.5) ? 1 / 8 : 3 / 16, unit)),
    lines: elasticLines(columns, top, bottom),
    notions: [{ id: 'cord', kind: 'cord', count: 1, length, width: cord, measureFirst: true }],
  }
}

/** As it was reckoned first: a run an insert, an even number sharing the middle hole, 5 % to stretch and 6 in to knot. */
function cordAtFirst({
  unit,
  inserts,
  run,
  width,
}: {
  readonly unit: Unit
  readonly inserts: number
  readonly run: Length
  readonly width: Length
}): readonly Reason[] {
  const beside = Math.floor((inserts % 2 === 0 ? inserts - 1 : inserts) / 2)
  const room = scale(subtract(scale(width, 1 / 2), customary(1 / 4, unit)), 1 / Math.max(1, beside))
  const pitch = shortest(customary(1 / 2, unit), longest(zero, room))
  const way = [...times(inserts, 'runs', run), ...times(2 * beside, 'hops', pitch)]
  return [
    ...way,
    ...less('5 % to stretch', scale(totalOf(way), 0.05)),
    ...because('to knot', scale(customary(3, unit), 2)),
  ]
}

function holesAt(
  columns: readonly Length[],
  rows: readonly Length[],
  diameter: Length,
): readonly StripHole[] {
  return columns.flatMap(x => rows.map(y => ({ at: [x, y] as const, diameter, punched: true as const })))
}

/** A run inside at each column, and a hop outside at both ends from each to the next. */
function elasticLines(columns: readonly Length[], top: Length, bottom: Length): readonly StripLine[] {
  const hop = (x: Length, before: Length, y: Length): StripLine => ({
    kind: 'elastic',
    from: [before, y],
    to: [x, y],
    face: 'outside',
  })
  return [
    ...columns.map((x): StripLine => ({ kind: 'elastic', from: [x, top], to: [x, bottom], face: 'inside' })),
    ...columns.slice(1).flatMap((x, index) => {
      const before = columns[index] ?? x
      return [hop(x, before, top), hop(x, before, bottom)]
    }),
  ]
}

/** The stations of signatures on the spine board. */
function laySignatures({ unit }: AnyJob, made: BoardCase, signatures: number, left: Length): InsertPattern {
  const { holes, lines } = layStations({
    unit,
    signatures,
    contents: made.contents,
    middle: add(left, scale(made.spineWidth.cut, 1 / 2)),
    high: made.boardHeight.cut,
  })
  return { holes, lines, notions: [] }
}

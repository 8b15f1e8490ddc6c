import { add, scale, shortest, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Notion } from '../../piece/notion.js'
import { because, less, times } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import type { Job } from '../contract.js'
import type { StripHole, StripLine } from '../strip.js'
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
    ? layElastic(job, made, options.inserts, left)
    : laySignatures(job, made, options.inserts, left)
}

/**
 * Bands as inserts: an odd number has a hole each, an even number shares the middle one. Holes stand ½ in apart, or
 * what leaves ¼ in to the spine’s edge. Cord = 0.95·(runs and hops) + 6 in to knot.
 */
function layElastic({ unit, grid }: AnyJob, made: BoardCase, bands: number, left: Length): InsertPattern {
  const edge = customary(1 / 4, unit)
  const [width, high] = [made.spineWidth.cut, made.boardHeight.cut]
  const beside = Math.floor((bands % 2 === 0 ? bands - 1 : bands) / 2)
  const room = scale(subtract(scale(width, 1 / 2), edge), 1 / Math.max(1, beside))
  const pitch = shortest(customary(1 / 2, unit), room > zero ? room : zero)
  const middle = add(left, scale(width, 1 / 2))
  const columns = Array.from({ length: 2 * beside + 1 }, (_, index) =>
    add(middle, scale(pitch, index - beside)),
  )
  const diameter = customary(1 / 8, unit)
  const [top, bottom] = [edge, subtract(high, edge)]
  const hops = 2 * beside
  const run = subtract(high, scale(edge, 2))
  const stretched = [...times(bands, `${bands} runs`, run), ...times(hops, `${hops} hops`, pitch)]
  const slack = scale(add(...stretched.map(({ length }) => length)), 0.05)
  const length = sideRoundedUp(
    [...stretched, ...less('5 % to stretch', slack), ...because('to knot', scale(customary(3, unit), 2))],
    grid,
  )
  return {
    holes: columns.flatMap(x => [top, bottom].map(y => ({ at: [x, y] as const, diameter }))),
    lines: [
      ...columns.map((x): StripLine => ({
        kind: 'elastic',
        from: [x, top],
        to: [x, bottom],
        face: 'inside',
      })),
      ...columns.slice(1).map((x, index): StripLine => {
        const y = index % 2 === 0 ? top : bottom
        return { kind: 'elastic', from: [columns[index] ?? x, y], to: [x, y], face: 'outside' }
      }),
    ],
    notions: [{ id: 'cord', kind: 'cord', count: 1, length, measureFirst: true }],
  }
}

/** One row of five stations a signature, rows its thickness and 1/16 in apart, ends ¾ in from head and tail. */
function laySignatures({ unit }: AnyJob, made: BoardCase, signatures: number, left: Length): InsertPattern {
  const [width, high] = [made.spineWidth.cut, made.boardHeight.cut]
  const apart = add(scale(made.contents, 1 / signatures), customary(1 / 16, unit))
  const middle = add(left, scale(width, 1 / 2))
  const end = customary(3 / 4, unit)
  const stations = [0, 1, 2, 3, 4].map(step => add(end, scale(subtract(high, scale(end, 2)), step / 4)))
  const rows = Array.from({ length: signatures }, (_, row) =>
    add(middle, scale(apart, row - (signatures - 1) / 2)),
  )
  return {
    holes: rows.flatMap(x => stations.map(y => ({ at: [x, y] as const, diameter: customary(1 / 16, unit) }))),
    lines: rows.map((x): StripLine => ({ kind: 'stitch', from: [x, end], to: [x, subtract(high, end)] })),
    notions: [],
  }
}

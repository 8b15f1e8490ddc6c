import type { MakeLog } from '../../api/makes.js'
import { toMm } from '../../length/length.js'
import { parseLength } from '../../length/parse.js'
import type { Verdict } from '../../fit/verdict.js'
import { directions, type ByDirection, type MakeDirection, type MakeRecord } from '../learning/make-record.js'
import { timesByKind } from './took.js'

/** A make as it is learnt from. A size that nobody measured says nothing; sewn without cut is taken as cut as planned. */
export function toRecord(id: string, log: MakeLog): MakeRecord {
  const { planned, unit } = log
  const sewnMm = inMm(log.sewn, unit)
  const typedCut = inMm(log.cut, unit)
  const assumed = pick(direction =>
    typedCut[direction] === undefined && sewnMm[direction] !== undefined
      ? planned.cutMm[direction]
      : undefined,
  )
  const fit = fitOf(log)
  return {
    id,
    plannedCutMm: pick(direction =>
      typedCut[direction] === undefined ? undefined : planned.cutMm[direction],
    ),
    cutMm: { ...assumed, ...typedCut },
    sewnMm,
    allowancesMm: pick(direction => planned.allowancesMm[direction]),
    edges: pick(direction => planned.edges[direction]),
    seams: pick(direction => planned.seams[direction]),
    easePlannedMm: pick(direction => planned.easeMm[direction]),
    wentOn: pick(direction => log.wentOn[direction]),
    ...(fit !== undefined && { fit }),
    ...(planned.chance !== undefined && { chance: planned.chance }),
    minutes: timesByKind(log.times),
  }
}

/** Whether it fits: as was said, or as it went on; undefined where neither is known. */
export function fitOf({ fit, wentOn }: Pick<MakeLog, 'fit' | 'wentOn'>): boolean | undefined {
  if (fit !== null) return fit
  const said = directions.flatMap(direction => wentOn[direction] ?? [])
  return said.length === 0 ? undefined : said.every(fits)
}

function fits(verdict: Verdict): boolean {
  return verdict !== 'will-not-go' && verdict !== 'baggy'
}

function inMm(typed: MakeLog['cut'], unit: MakeLog['unit']): ByDirection<number> {
  return pick(direction => {
    const text = typed[direction]
    const read = text ? parseLength(text, unit) : undefined
    return read?.ok ? toMm(read.length) : undefined
  })
}

function pick<Value>(of: (direction: MakeDirection) => Value | undefined): ByDirection<Value> {
  return Object.fromEntries(
    directions.flatMap(direction => {
      const value = of(direction)
      return value === undefined ? [] : [[direction, value]]
    }),
  )
}

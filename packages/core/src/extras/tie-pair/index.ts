import { z } from 'zod'
import { choiceOption, lengthOption } from '../../families/option-fields.js'
import type { StripLine } from '../../families/strip.js'
import { findingWhen } from '../../finding/finding.js'
import { add, mm, scale, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf } from '../../material/layer.js'
import { because, totalOf, type Reason } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import {
  alongEnds,
  closedThickness,
  alongEdge,
  closureEnds,
  groundAround,
  offEnd,
  refusesClosure,
} from '../closure.js'
import { defineExtra, extraPlan, type ExtraJob } from '../contract.js'
import { type Place } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface TiePairOptions extends Place {
  readonly length?: Length | undefined
  readonly cutFrom?: 'ribbon' | 'cloth' | undefined
}

/** Two ties: ribbon, or strips 3 in wide folded in four. Source: docs/craft.md, Closures. */
export const tiePair = defineExtra<TiePairOptions>({
  type: 'tie-pair',
  version: 1,
  words: { name: 'Pair of ties', summary: 'A ribbon at each end, tied in a bow over the closed cover.' },
  group: 'closure',
  refuses: refusesClosure,
  places: alongEnds,
  options: unit =>
    z.strictObject({
      length: lengthOption(
        unit,
        { min: mm(50), max: mm(1500) },
        { label: 'Length of a tie', help: 'Half the thickness and {8 in} unless set.' },
      ),
      cutFrom: choiceOption(
        { ribbon: 'ribbon', cloth: 'a strip of the outer cloth' },
        { label: 'Made from', help: 'A strip is cut {3 in} wide and folded in four.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { object, unit, stack, options } = job
    const length = totalOf(lengthReasons(job))
    const needs = add(scale(closedThickness(object), 1 / 2), customary(4, unit))
    const ends = closureEnds(job, options)
    const cloth = options.cutFrom === 'cloth'
    return extraPlan({
      ...cutTies(job),
      notes: [alongEdge(job, options)],
      lines: ends.map((end): StripLine => ({
        kind: 'tie',
        from: end.at,
        to: offEnd(end, shown(job, length)),
      })),
      footprints: ends.map(({ at }) => ({ ...groundAround(at, customary(1 / 2, unit)), atEdge: true })),
      findings: findingWhen(length < needs, 'extra-too-short', job.about, {
        extra: 'A tie',
        has: length,
        needs,
      }),
      caught: cloth ? scale(outerOf(stack).thickness, 4) : zero,
    })
  },
})

function cutTies(job: ExtraJob<TiePairOptions>) {
  const length = sideRoundedUp(lengthReasons(job), job.grid)
  if (job.options.cutFrom !== 'cloth')
    return { notions: [{ id: 'ribbon', kind: 'ribbon' as const, count: 2, length, measureFirst: false }] }
  const width = sideRoundedUp(because('a strip folded in four', customary(3, job.unit)), job.grid)
  return { pieces: [{ id: 'tie-pair', role: 'outer' as const, count: 2, width: length, height: width }] }
}

function lengthReasons({ object, unit, options }: ExtraJob<TiePairOptions>): readonly Reason[] {
  if (options.length !== undefined) return because('length as set', options.length)
  return [
    ...because('half the thickness', scale(closedThickness(object), 1 / 2)),
    ...because('to tie a bow', customary(8, unit)),
  ]
}

/** Drawn as far as a flap is wide, so that the picture keeps its size. */
function shown({ cover }: ExtraJob<TiePairOptions>, length: Length): Length {
  const flap = cover.strip.panels.find(({ kind }) => kind === 'flap')
  const room = flap?.width ?? customary(2, 'in')
  return room > zero && room < length ? room : length
}

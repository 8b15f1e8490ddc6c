import { z } from 'zod'
import { clothOf } from '../../material/cut-from.js'
import { lengthOption } from '../../families/option-fields.js'
import type { StripShape } from '../../families/strip.js'
import { findingWhen } from '../../finding/finding.js'
import { add, longest, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf } from '../../material/layer.js'
import { because, totalOf, twice, type Reason } from '../../piece/reason.js'
import type { Piece } from '../../piece/piece.js'
import { sideRoundedUp } from '../../piece/side.js'
import {
  alongEnds,
  alongEdge,
  closedThickness,
  closureEnds,
  groundAround,
  offEnd,
  refusesClosure,
} from '../closure.js'
import { defineExtra, extraPlan, type ExtraJob } from '../contract.js'
import { type Place } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface TabSnapOptions extends Place {
  readonly width?: Length | undefined
  readonly length?: Length | undefined
}

/** A folded tab from the back's edge, a snap 1 in from its end. Source: docs/craft.md, Closures. */
export const tabSnap = defineExtra<TabSnapOptions>({
  type: 'tab-snap',
  version: 1,
  words: { name: 'Tab with snap', summary: 'A folded tab from the back’s edge snaps onto the front.' },
  group: 'closure',
  refuses: refusesClosure,
  places: alongEnds,
  options: unit =>
    z.strictObject({
      width: lengthOption(
        unit,
        { min: mm(15), max: mm(150) },
        { label: 'Tab width', help: 'Finished. {1 ½ in} unless set.' },
      ),
      length: lengthOption(
        unit,
        { min: mm(20), max: mm(400) },
        { label: 'Tab length', help: 'Finished. The thickness and {2 in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { unit, grid, seam, object, options, about } = job
    const width = options.width ?? customary(3 / 2, unit)
    const reasons = lengthReasons(job)
    const length = totalOf(reasons)
    const needs = add(closedThickness(object), customary(3 / 2, unit))
    const doubled = reasons.map(({ label, length: part }) => ({
      label: `${label}, folded double`,
      length: scale(part, 2),
    }))
    const square = sideRoundedUp(because('as usual', customary(3 / 2, unit)), grid)
    const pieces: readonly Piece[] = [
      {
        id: 'tab-snap',
        role: 'outer',
        count: 1,
        width: sideRoundedUp([...because('finished width', width), ...twice('seam', seam)], grid),
        height: sideRoundedUp([...doubled, ...twice('seam', seam)], grid),
      },
      { id: 'tab-snap-stiffener', role: 'interfacing', count: 1, width: square, height: square },
    ]
    return extraPlan({
      pieces,
      notions: [{ id: 'snap', kind: 'snap', count: 1, measureFirst: true }],
      ...drawn(job, width, length),
      notes: [
        { label: 'tab finished', length },
        { label: 'snap in from its end', length: customary(1, unit) },
        alongEdge(job, options),
      ],
      findings: findingWhen(length < needs, 'extra-too-short', about, {
        extra: 'The tab',
        has: length,
        needs,
      }),
      tabWidth: width,
      caught: scale((clothOf(job, 'tab-snap', 'outer') ?? outerOf(job.stack)).thickness, 2),
    })
  },
})

function lengthReasons({ object, unit, options }: ExtraJob<TabSnapOptions>): readonly Reason[] {
  if (options.length !== undefined) return because('length as set', options.length)
  return [
    ...because('over the thickness', closedThickness(object)),
    ...because('onto the front', customary(2, unit)),
  ]
}

function drawn(job: ExtraJob<TabSnapOptions>, width: Length, length: Length) {
  const [back, front] = closureEnds(job, job.options)
  const half = scale(width, 1 / 2)
  const sideways = back.way[0] !== 0
  const tip = offEnd(back, length)
  const at = sideways
    ? ([tip[0] < back.at[0] ? tip[0] : back.at[0], subtract(back.at[1], half)] as const)
    : ([subtract(back.at[0], half), tip[1] < back.at[1] ? tip[1] : back.at[1]] as const)
  const size = sideways ? { width: length, height: width } : { width, height: length }
  const shape: StripShape = { piece: 'tab-snap', name: 'tab', face: 'outside', at, ...size }
  const beyond = subtract(length, closedThickness(job.object))
  const mate = offEnd(front, scale(longest(zero, subtract(beyond, customary(1, job.unit))), -1))
  const foot = customary(1 / 2, job.unit)
  return {
    shapes: [shape],
    holes: [{ at: mate, diameter: foot }],
    footprints: [{ ...groundAround(back.at, width), atEdge: true }, groundAround(mate, foot)],
  }
}

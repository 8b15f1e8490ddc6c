import { z } from 'zod'
import { choiceOption, lengthOption } from '../../families/option-fields.js'
import type { Panel, Strip, StripLine } from '../../families/strip.js'
import { add, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { largestReading } from '../../object/reading.js'
import { because, type Reason } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { defineExtra, type ExtraJob } from '../contract.js'

interface TiePairOptions {
  readonly length?: Length | undefined
  readonly cutFrom?: 'ribbon' | 'cloth' | undefined
}

/** Two ties at the fore-edges: ribbon, or strips 3 in wide folded in four. Source: docs/craft.md, Closures. */
export const tiePair = defineExtra<TiePairOptions>({
  type: 'tie-pair',
  version: 1,
  words: { name: 'Pair of ties', summary: 'A ribbon at each fore-edge, tied in a bow over the closed book.' },
  options: unit =>
    z.strictObject({
      length: lengthOption(
        unit,
        { min: mm(50), max: mm(1500) },
        { label: 'Length of a tie', help: 'Half the thickness and 8 in unless set.' },
      ),
      cutFrom: choiceOption(
        { ribbon: 'ribbon', cloth: 'a strip of the outer cloth' },
        { label: 'Made from', help: 'A strip is cut 3 in wide and folded in four.' },
      ),
    }),
  plan: job => ({ ...cutTies(job), lines: tieLines(job.cover.strip, lengthOf(job)), findings: [] }),
})

function cutTies(job: ExtraJob<TiePairOptions>) {
  const length = sideRoundedUp(lengthReasons(job), job.grid)
  if (job.options.cutFrom !== 'cloth')
    return { pieces: [], notions: [{ id: 'ribbon', count: 2, length, measureFirst: false }] }
  const width = sideRoundedUp(because('a strip folded in four', customary(3, job.unit)), job.grid)
  return {
    pieces: [{ id: 'tie-pair', role: 'outer' as const, count: 2, width: length, height: width }],
    notions: [],
  }
}

function lengthReasons({ object, unit, options }: ExtraJob<TiePairOptions>): readonly Reason[] {
  if (options.length !== undefined) return because('length as set', options.length)
  return [
    ...because('half the thickness', scale(largestReading(object, 'thickness') ?? zero, 1 / 2)),
    ...because('to tie a bow', customary(8, unit)),
  ]
}

function lengthOf(job: ExtraJob<TiePairOptions>): Length {
  return add(...lengthReasons(job).map(reason => reason.length))
}

/** One tie at the middle of each fore-edge, drawn as far as a flap is wide. */
function tieLines({ panels, height }: Strip, length: Length): readonly StripLine[] {
  const first = flapWidth(panels.at(0))
  const last = flapWidth(panels.at(-1))
  const total = add(...panels.map(panel => panel.width))
  const middle = scale(height, 1 / 2)
  const shown = (room: Length) => (room > zero && room < length ? room : length)
  const right = subtract(total, last)
  return [
    { kind: 'tie', from: [first, middle], to: [subtract(first, shown(first)), middle], label: 'tie' },
    { kind: 'tie', from: [right, middle], to: [add(right, shown(last)), middle], label: 'tie' },
  ]
}

function flapWidth(panel: Panel | undefined): Length {
  return panel?.kind === 'flap' ? panel.width : zero
}

import { z } from 'zod'
import { choiceOption, lengthOption } from '../../families/option-fields.js'
import { clothOf } from '../../material/cut-from.js'
import type { StripShape } from '../../families/strip.js'
import { findingWhen } from '../../finding/finding.js'
import { add, longest, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import { outerOf } from '../../material/layer.js'
import { because, times, twice } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { alongEnds, alongEdge, closureEnds, refusesGlued } from '../closure.js'
import { defineExtra, extraPlan, type ExtraJob, type Footprint } from '../contract.js'
import { type Place } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface HandlesOptions extends Place {
  readonly fold?: 'four' | 'three' | undefined
  readonly width?: Length | undefined
  readonly length?: Length | undefined
  readonly span?: Length | undefined
  readonly feet?: Length | undefined
  readonly attach?: 'seam' | 'outside' | undefined
}

/** A handle at each fore-edge, feet equally far from top and bottom. Source: docs/craft.md, Handles. */
export const handles = defineExtra<HandlesOptions>({
  type: 'handles',
  version: 1,
  words: { name: 'Pair of handles', summary: 'A handle at each fore-edge, to carry it like a bag.' },
  group: 'carrying',
  refuses: traits => {
    if (!traits.includes('book')) return 'it has no two fore-edges to hang from.'
    return refusesGlued(traits)
  },
  places: alongEnds,
  options: unit =>
    z.strictObject({
      fold: choiceOption(
        { four: 'in four', three: 'in three, raw edge inside' },
        { label: 'Folded', help: 'In three only with cloth that does not fray.' },
      ),
      width: lengthOption(
        unit,
        { min: mm(8), max: mm(100) },
        { label: 'Handle width', help: 'Finished. {1 in} unless set.' },
      ),
      length: lengthOption(
        unit,
        { min: mm(80), max: mm(1500), usual: [customary(9, unit), customary(16, unit)] },
        {
          label: 'Handle length',
          help: 'Without what goes into the seams. {12 in} unless set; {9 to 16 in}.',
        },
      ),
      span: lengthOption(
        unit,
        { min: mm(20), max: mm(600) },
        {
          label: 'Feet apart',
          help: 'Inside the feet. {4 in} unless set; a tab between them needs its width and {1 in}.',
        },
      ),
      feet: lengthOption(
        unit,
        { min: zero, max: mm(600) },
        { label: 'Feet from the edges', help: 'From top and bottom, instead of how far they are apart.' },
      ),
      attach: choiceOption(
        { seam: 'caught in the seam', outside: 'stitched to the outside' },
        { label: 'Handles are', help: 'Stitched on before the flaps close; then no seam is added.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { unit, grid, seam, options, about, cover } = job
    const {
      fold = 'four',
      width = customary(1, unit),
      length = customary(12, unit),
      attach = 'seam',
    } = options
    const folds = fold === 'four' ? 4 : 3
    const outer = clothOf(job, 'handles', 'outer') ?? outerOf(job.stack)
    const span = spanOf(options, cover.strip.height, width, unit)
    return extraPlan({
      pieces: [
        {
          id: 'handles',
          role: 'outer',
          count: 2,
          width: sideRoundedUp(
            [...because('length of a handle', length), ...(attach === 'seam' ? twice('seam', seam) : [])],
            grid,
          ),
          height: sideRoundedUp(times(folds, `width, folded in ${fold}`, width), grid),
        },
      ],
      ...drawn(job, width, span),
      notes: [{ label: 'between its feet', length: span }, alongEdge(job, options)],
      feetApart: span,
      findings: findingWhen(fold === 'three' && outer.frays !== 'none', 'handle-frays', about, {
        cloth: outer.name || 'the outer cloth',
      }),
      caught: attach === 'seam' ? scale(outer.thickness, folds) : zero,
    })
  },
})

/** How far the feet are apart inside: as set, or what is left where they stand so far from top and bottom; 4 in. */
function spanOf({ span, feet }: HandlesOptions, high: Length, width: Length, unit: Unit): Length {
  if (span !== undefined || feet === undefined) return span ?? customary(4, unit)
  return longest(zero, subtract(high, scale(add(feet, width), 2)))
}

/** Feet at both fore-edges, drawn a finger's width in. */
function drawn(job: ExtraJob<HandlesOptions>, width: Length, span: Length) {
  const reach = add(scale(span, 1 / 2), scale(width, 1 / 2))
  const depth = customary(1 / 2, job.unit)
  const feet = closureEnds(job, job.options).flatMap(({ at: [x, y], way }) =>
    [-1, 1].map(up => {
      const left = way[0] < 0 ? x : subtract(x, depth)
      return {
        at: [left, add(y, scale(reach, up), scale(width, -1 / 2))] as const,
        width: depth,
        height: width,
      }
    }),
  )
  return {
    shapes: feet.map((foot): StripShape => ({ piece: 'handles', name: 'handle', face: 'outside', ...foot })),
    footprints: feet.map((foot): Footprint => ({
      ...foot,
      face: 'outside',
      crossesFolds: true,
      atEdge: true,
    })),
  }
}

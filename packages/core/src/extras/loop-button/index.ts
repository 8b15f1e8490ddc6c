import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { findingWhen } from '../../finding/finding.js'
import { add, mm, negate, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { twice } from '../../piece/reason.js'
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

interface LoopButtonOptions extends Place {
  readonly edgeToButton?: Length | undefined
  readonly buttonDiameter?: Length | undefined
}

/** A loop of cord in the back's edge over a button on the front. Source: docs/craft.md, Closures. */
export const loopButton = defineExtra<LoopButtonOptions>({
  type: 'loop-button',
  version: 1,
  words: {
    name: 'Loop and button',
    summary: 'A loop of cord in the edge of the back goes over a button on the front.',
  },
  group: 'closure',
  refuses: refusesClosure,
  places: alongEnds,
  options: unit =>
    z.strictObject({
      edgeToButton: lengthOption(
        unit,
        { min: mm(5), max: mm(300) },
        {
          label: 'Edge to button',
          help: 'From the edge that holds the loop, over the thickness, to the button.',
        },
      ),
      buttonDiameter: lengthOption(
        unit,
        { min: mm(5), max: mm(60) },
        { label: 'Button', help: 'Across. {¾ in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { unit, grid, seam, object, options, about } = job
    const thickness = closedThickness(object)
    const reach = options.edgeToButton ?? add(thickness, customary(1, unit))
    const button = options.buttonDiameter ?? customary(3 / 4, unit)
    const needs = add(thickness, customary(1 / 2, unit))
    const length = sideRoundedUp(
      [
        ...twice('edge to button', reach),
        ...twice('button', button),
        ...twice('into the seam', seam),
        ...twice('past the seam', customary(1 / 4, unit)),
      ],
      grid,
    )
    return extraPlan({
      notions: [
        { id: 'cord', kind: 'cord', count: 1, length, measureFirst: false },
        { id: 'button', kind: 'button', count: 1, measureFirst: true },
      ],
      ...drawn(job, { reach, button, thickness }),
      notes: [
        { label: 'button across', length: button },
        { label: 'edge to button', length: reach },
        alongEdge(job, options),
      ],
      findings: findingWhen(reach < needs, 'extra-too-short', about, {
        extra: 'The loop',
        has: reach,
        needs,
      }),
    })
  },
})

/** The loop stands off the back's edge; the button sits as far in from the front's as the loop reaches past the thickness. */
function drawn(
  job: ExtraJob<LoopButtonOptions>,
  {
    reach,
    button,
    thickness,
  }: { readonly reach: Length; readonly button: Length; readonly thickness: Length },
) {
  const [back, front] = closureEnds(job, job.options)
  const inwards = subtract(reach, thickness)
  const at = offEnd(front, negate(inwards > zero ? inwards : zero))
  return {
    lines: [{ kind: 'elastic', from: back.at, to: offEnd(back, reach), label: 'loop' } as const],
    holes: [{ at, diameter: button }],
    footprints: [
      { ...groundAround(at, button), crossesFolds: false },
      { ...groundAround(back.at, button), atEdge: true },
    ],
  }
}

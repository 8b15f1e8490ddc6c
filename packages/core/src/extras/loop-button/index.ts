import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { findingWhen } from '../../finding/finding.js'
import { add, longest, mm, negate, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { standOff } from '../../material/stand-off.js'
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
  readonly standOut?: Length | undefined
  readonly button?: Length | undefined
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
      standOut: lengthOption(
        unit,
        { min: mm(5), max: mm(300) },
        {
          label: 'The loop stands out',
          help: 'All that shows of it, from its edge over the thickness and round the button.',
        },
      ),
      button: lengthOption(
        unit,
        { min: mm(5), max: mm(60) },
        { label: 'Button', help: 'Across. {¾ in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: job => {
    const { unit, grid, seam, object, options, about } = job
    const thickness = closedThickness(object)
    const button = options.button ?? customary(3 / 4, unit)
    const needs = add(thickness, customary(1 / 4, unit))
    const reach = options.standOut ?? usualStandOut(job, { thickness, button, needs })
    const length = sideRoundedUp(
      [
        ...twice('what stands out', reach),
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
        { label: 'the loop stands out', length: reach },
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

/**
 * T + the button + 2·s, at least T + ¼ in: over the thickness, round the button, and the stand-off at both edges. As it
 * was reckoned first, an inch past the thickness and the button once more.
 */
function usualStandOut(
  { stack, unit, reckoning }: ExtraJob<LoopButtonOptions>,
  {
    thickness,
    button,
    needs,
  }: { readonly thickness: Length; readonly button: Length; readonly needs: Length },
): Length {
  if (reckoning === 'first') return add(thickness, customary(1, unit), button)
  return longest(needs, add(thickness, button, scale(standOff(stack), 2)))
}

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
  const inwards = subtract(subtract(reach, thickness), scale(button, 1 / 2))
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

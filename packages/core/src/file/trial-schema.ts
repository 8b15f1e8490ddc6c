import { z } from 'zod'
import type { Trial, Tried } from '../fit/trial.js'
import { negate, mm, zero } from '../length/length.js'
import { lengthInput } from '../length/length-input.js'
import type { Unit } from '../length/unit.js'

/** How a trial piece went on: how long it was made up, and what was over (`spare`) or lacking (`short`). */
export function trialSchema(unit: Unit) {
  const tried = triedSchema(unit).optional()
  return z.strictObject({ width: tried, height: tried })
}

function triedSchema(unit: Unit) {
  const over = lengthInput(unit, { min: zero, max: mm(150) }).optional()
  return z
    .strictObject({ finished: lengthInput(unit, { min: mm(20), max: mm(3000) }), spare: over, short: over })
    .refine(({ spare, short }) => (spare === undefined) !== (short === undefined), {
      message: 'Give either spare (what was over) or short (what was lacking).',
    })
    .transform(({ finished, spare, short }): Tried => ({
      finished,
      spare: spare ?? negate(short ?? zero),
    }))
}

/** Drops the directions that were not tried. */
export function settleTrial({ width, height }: z.output<ReturnType<typeof trialSchema>>): Trial {
  return { ...(width && { width }), ...(height && { height }) }
}

import { toJsonMm } from '../length/length.js'
import type { Making } from '../make/plan-steps.js'
import type { Step } from '../make/step.js'

/** The steps of a cover as files carry them: empty lists and what is absent are left out. */
export function makingToJson({ steps, minutes, elapsed, stitch }: Making) {
  return {
    steps: steps.map(stepToJson),
    minutes,
    elapsed,
    ...(stitch && { stitch: { ...stitch, bulk: { mm: toJsonMm(stitch.bulk) } } }),
  }
}

function stepToJson(step: Step): Partial<Step> {
  return Object.fromEntries(
    Object.entries(step).filter(([, value]) => !(Array.isArray(value) && value.length === 0)),
  )
}

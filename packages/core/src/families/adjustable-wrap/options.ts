import { z } from 'zod'
import { mm, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import type { Job } from '../contract.js'
import { lengthOption } from '../option-fields.js'

export interface AdjustableWrapOptions {
  readonly fixedFlap?: Length | undefined
  readonly grip?: Length | undefined
  readonly freeFlap?: Length | undefined
  readonly taperAlong?: Length | undefined
  readonly taperAcross?: Length | undefined
}

/** The free flap stays open where nobody states it: it follows from the largest book. */
export interface ResolvedOptions {
  readonly fixedFlap: Length
  readonly grip: Length
  readonly taperAlong: Length
  readonly taperAcross: Length
}

export const options = (unit: Unit) =>
  z.strictObject({
    fixedFlap: lengthOption(
      unit,
      { min: mm(20), max: mm(400) },
      { label: 'Fixed flap', help: 'The end that is stitched top and bottom. {4 in} unless set.' },
    ),
    grip: lengthOption(
      unit,
      { min: mm(10), max: mm(300) },
      { label: 'Grip', help: 'The least of the free end that must fold inside to hold. {3 in} unless set.' },
    ),
    freeFlap: lengthOption(
      unit,
      { min: mm(10), max: mm(600) },
      {
        label: 'Free end',
        help: 'What folds inside on the largest book. Unless set, what serves the most of the books; for one alone, midway between the grip and the strap.',
      },
    ),
    taperAlong: lengthOption(
      unit,
      { min: mm(0), max: mm(200) },
      { label: 'Taper, along', help: 'How far back the corners of the free end are cut.' },
    ),
    taperAcross: lengthOption(
      unit,
      { min: mm(0), max: mm(150) },
      { label: 'Taper, across', help: 'How far in from each long edge.' },
    ),
  })

export function resolveOptions({ unit, options: stated }: Job<AdjustableWrapOptions>): ResolvedOptions {
  return {
    fixedFlap: stated.fixedFlap ?? customary(4, unit),
    grip: stated.grip ?? customary(3, unit),
    taperAlong: stated.taperAlong ?? customary(4, unit),
    taperAcross: stated.taperAcross ?? customary(2, unit),
  }
}

import { z } from 'zod'
import { mm, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import type { Job } from '../contract.js'
import { lengthOption, yesNoOption } from '../option-fields.js'

export interface FoldCaseOptions {
  readonly pocketExtra?: Length | undefined
  readonly zipPocket?: boolean | undefined
}

export interface ResolvedOptions {
  readonly pocketExtra: Length
  readonly zipPocket: boolean
}

export const options = (unit: Unit) =>
  z.strictObject({
    pocketExtra: lengthOption(
      unit,
      { min: zero, max: mm(200) },
      {
        label: 'Pocket higher than the device',
        help: 'The faced pocket that holds the device. {2 in} unless set.',
      },
    ),
    zipPocket: yesNoOption({ label: 'Zip pocket outside', help: 'Two strips and a zip across the outside.' }),
  })

export function resolveOptions({ unit, options: stated }: Job<FoldCaseOptions>): ResolvedOptions {
  return { pocketExtra: stated.pocketExtra ?? customary(2, unit), zipPocket: stated.zipPocket ?? true }
}

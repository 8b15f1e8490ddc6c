import { z } from 'zod'
import { mm, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import type { Job } from '../contract.js'
import { lengthOption, yesNoOption } from '../option-fields.js'

export interface ZipPouchOptions {
  readonly pocket?: boolean | undefined
  readonly pocketDrop?: Length | undefined
  readonly scoopWidth?: Length | undefined
  readonly scoopDepth?: Length | undefined
  readonly zipExtra?: Length | undefined
  readonly zipExposed?: Length | undefined
}

export interface ResolvedOptions {
  readonly pocket: boolean
  readonly pocketDrop: Length
  /** Half the pocket where it is left out. */
  readonly scoopWidth?: Length
  readonly scoopDepth: Length
  readonly zipExtra: Length
  readonly zipExposed: Length
}

export const options = (unit: Unit) =>
  z.strictObject({
    pocket: yesNoOption({ label: 'Scoop pocket', help: 'A lined pocket over the front, its mouth curved.' }),
    pocketDrop: lengthOption(
      unit,
      { min: zero, max: mm(300) },
      { label: 'Pocket below the mouth', help: 'How much lower the pocket ends. {1 in} unless set.' },
    ),
    scoopWidth: lengthOption(
      unit,
      { min: zero, max: mm(1000) },
      { label: 'Scoop, width', help: 'Of the curve in the pocket’s mouth. Half the pocket unless set.' },
    ),
    scoopDepth: lengthOption(
      unit,
      { min: zero, max: mm(300) },
      { label: 'Scoop, depth', help: 'How far the curve dips. {1 ½ in} unless set.' },
    ),
    zipExtra: lengthOption(
      unit,
      { min: zero, max: mm(200) },
      { label: 'Zip longer than the mouth', help: 'So that its ends are out of the way. {3 in} unless set.' },
    ),
    zipExposed: lengthOption(
      unit,
      { min: zero, max: mm(40) },
      { label: 'Zip showing', help: 'The width between the edges of cloth. {¼ in} unless set.' },
    ),
  })

export function resolveOptions({ unit, options: stated }: Job<ZipPouchOptions>): ResolvedOptions {
  return {
    pocket: stated.pocket ?? true,
    pocketDrop: stated.pocketDrop ?? customary(1, unit),
    ...(stated.scoopWidth !== undefined && { scoopWidth: stated.scoopWidth }),
    scoopDepth: stated.scoopDepth ?? customary(3 / 2, unit),
    zipExtra: stated.zipExtra ?? customary(3, unit),
    zipExposed: stated.zipExposed ?? customary(1 / 4, unit),
  }
}

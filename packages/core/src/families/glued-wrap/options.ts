import { z } from 'zod'
import { inches, mm, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import { largestReading } from '../../object/reading.js'
import type { Job } from '../contract.js'
import { lengthOption, yesNoOption } from '../option-fields.js'

export interface GluedWrapOptions {
  readonly turnIn?: Length | undefined
  readonly hingeGroove?: Length | undefined
  readonly pastedown?: boolean | undefined
}

export interface ResolvedOptions {
  readonly turnIn: Length
  readonly hingeGroove: Length
  readonly pastedown: boolean
}

export const options = (unit: Unit) =>
  z.strictObject({
    turnIn: lengthOption(
      unit,
      {
        min: mm(5),
        max: mm(150),
        usual: unit === 'in' ? [inches(1), inches(2)] : [mm(25), mm(50)],
      },
      { label: 'Turn-in', help: 'What is glued round the edges of the boards. {1 to 2 in}.' },
    ),
    hingeGroove: lengthOption(
      unit,
      { min: zero, max: mm(20) },
      {
        label: 'For each hinge groove',
        help: 'Cloth that sinks into the groove beside the spine; {4 mm} where a groove was measured.',
      },
    ),
    pastedown: yesNoOption({
      label: 'Pastedowns',
      help: 'A sheet glued inside each board over the turn-ins; or take the book’s own first and last leaf.',
    }),
  })

export function resolveOptions({ object, unit, options: stated }: Job<GluedWrapOptions>): ResolvedOptions {
  const groove = largestReading(object, 'grooveDepth') ?? zero
  return {
    turnIn: stated.turnIn ?? customary(2, unit),
    hingeGroove: stated.hingeGroove ?? (groove > zero ? mm(4) : zero),
    pastedown: stated.pastedown ?? false,
  }
}

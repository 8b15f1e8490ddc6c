import { z } from 'zod'
import { inches, mm, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import { largestReading } from '../../object/reading.js'
import type { Job } from '../contract.js'
import { choiceOption, lengthOption, yesNoOption } from '../option-fields.js'

/** What is glued first: the spine, then each board smoothed outwards; or a board, across the spine, the other board. */
export type GluingOrder = 'spine-first' | 'board-first'

export interface GluedWrapOptions {
  readonly turnIn?: Length | undefined
  readonly hingeGroove?: Length | undefined
  readonly pastedown?: boolean | undefined
  readonly order?: GluingOrder | undefined
}

export interface ResolvedOptions {
  readonly turnIn: Length
  readonly hingeGroove: Length
  readonly pastedown: boolean
  readonly order: GluingOrder
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
      {
        label: 'Turn-in',
        help: 'From the board’s outer edge, its thickness included. {2 in} unless set; {1 to 2 in}.',
      },
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
    order: choiceOption(
      { 'spine-first': 'the spine, then each board', 'board-first': 'a board, the spine, the other board' },
      {
        label: 'Glued first',
        help: 'From the spine outwards it lies straight; from a board one needs no third hand.',
      },
    ),
  })

export function resolveOptions({ object, unit, options: stated }: Job<GluedWrapOptions>): ResolvedOptions {
  const groove = largestReading(object, 'grooveDepth') ?? zero
  return {
    turnIn: stated.turnIn ?? customary(2, unit),
    hingeGroove: stated.hingeGroove ?? (groove > zero ? mm(4) : zero),
    pastedown: stated.pastedown ?? false,
    order: stated.order ?? 'spine-first',
  }
}

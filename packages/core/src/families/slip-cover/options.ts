import { z } from 'zod'
import { mm, scale, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import { totalThickness } from '../../material/layer.js'
import type { FlapStyle } from '../../piece/flap.js'
import { boardWidthOf } from '../book.js'
import type { Job } from '../contract.js'
import { choiceOption, lengthOption } from '../option-fields.js'

export interface SlipCoverOptions {
  readonly flapStyle?: FlapStyle | undefined
  readonly flapDepth?: Length | undefined
  readonly turningOpening?: Length | undefined
}

export interface ResolvedOptions {
  readonly flapStyle: FlapStyle
  readonly flapDepth: Length
  readonly turningOpening: Length
}

export const options = (unit: Unit) =>
  z.strictObject({
    flapStyle: choiceOption(
      { folded: 'folded double', faced: 'faced with lining' },
      {
        label: 'Flaps',
        help: 'Folded: one piece of outer cloth, doubled. Faced: outer cloth with lining behind it, for heavy cloth.',
      },
    ),
    flapDepth: lengthOption(
      unit,
      { min: mm(10), max: mm(600) },
      {
        label: 'Flap depth',
        help: 'How far each flap reaches in from the fore-edge. Half the width unless set.',
      },
    ),
    turningOpening: lengthOption(
      unit,
      { min: mm(25), max: mm(500) },
      {
        label: 'Turning opening',
        help: 'Left open in a long side between the flaps, to turn the cover through.',
      },
    ),
  })

/** Below this the whole stack turns through a smaller opening. */
const thinStack = mm(2)

/** Every option with its default: flaps half the width deep; an opening of 4 in, 3 in for a thin stack. */
export function resolveOptions(job: Job<SlipCoverOptions>): ResolvedOptions {
  const { stack, unit, options: stated } = job
  const thin = totalThickness(stack) < thinStack
  return {
    flapStyle: stated.flapStyle ?? 'folded',
    flapDepth: stated.flapDepth ?? scale(boardWidthOf(job) ?? zero, 1 / 2),
    turningOpening: stated.turningOpening ?? customary(thin ? 3 : 4, unit),
  }
}

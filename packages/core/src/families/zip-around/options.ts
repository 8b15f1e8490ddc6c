import { z } from 'zod'
import { mm, scale, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import type { FlapStyle } from '../../piece/flap.js'
import { boardWidthOf } from '../book.js'
import type { Job } from '../contract.js'
import { choiceOption, lengthOption } from '../option-fields.js'

export interface ZipAroundOptions {
  readonly cornerRadius?: Length | undefined
  readonly zipGap?: Length | undefined
  readonly zipExposed?: Length | undefined
  readonly gussetEnds?: 'raw' | 'faced' | undefined
  readonly flapStyle?: FlapStyle | undefined
  readonly flapDepth?: Length | undefined
  readonly liningOverlap?: Length | undefined
  readonly pipingStrip?: Length | undefined
}

export interface ResolvedOptions {
  readonly cornerRadius: Length
  readonly zipGap: Length
  readonly zipExposed: Length
  readonly gussetEnds: 'raw' | 'faced'
  readonly flapStyle: FlapStyle
  readonly flapDepth: Length
  readonly liningOverlap: Length
  readonly pipingStrip: Length
}

export const options = (unit: Unit) =>
  z.strictObject({
    cornerRadius: lengthOption(
      unit,
      { min: zero, max: mm(150) },
      {
        label: 'Corner radius',
        help: 'Of the finished corners. {1 in} unless set; the thing’s own radius helps.',
      },
    ),
    zipGap: lengthOption(
      unit,
      { min: zero, max: mm(200) },
      {
        label: 'Zip ends before the spine',
        help: 'Each side of the spine’s middle, top and bottom. {¾ in} unless set.',
      },
    ),
    zipExposed: lengthOption(
      unit,
      { min: zero, max: mm(40) },
      { label: 'Zip showing', help: 'The width between the edges of cloth. {¼ in} unless set.' },
    ),
    gussetEnds: choiceOption(
      { raw: 'raw, caught in the seam', faced: 'faced and turned' },
      { label: 'Ends of the gusset', help: 'Faced ends are a seam longer at each end.' },
    ),
    flapStyle: choiceOption(
      { folded: 'folded double', faced: 'faced with lining' },
      { label: 'Flaps', help: 'What the boards slide into, left and right.' },
    ),
    flapDepth: lengthOption(
      unit,
      { min: mm(10), max: mm(600) },
      {
        label: 'Flap depth',
        help: 'How far each flap reaches in from the fore-edge. Half the width unless set.',
      },
    ),
    liningOverlap: lengthOption(
      unit,
      { min: zero, max: mm(150) },
      {
        label: 'Lining under each flap',
        help: 'How far the centre lining reaches under the flaps. {1 in} unless set.',
      },
    ),
    pipingStrip: lengthOption(
      unit,
      { min: mm(15), max: mm(100) },
      { label: 'Piping strip', help: 'Cut on the bias, this wide. {1 ½ in} unless set.' },
    ),
  })

export function resolveOptions(job: Job<ZipAroundOptions>): ResolvedOptions {
  const { unit, options: stated } = job
  return {
    cornerRadius: stated.cornerRadius ?? customary(1, unit),
    zipGap: stated.zipGap ?? customary(3 / 4, unit),
    zipExposed: stated.zipExposed ?? customary(1 / 4, unit),
    gussetEnds: stated.gussetEnds ?? 'raw',
    flapStyle: stated.flapStyle ?? 'folded',
    flapDepth: stated.flapDepth ?? scale(boardWidthOf(job) ?? zero, 1 / 2),
    liningOverlap: stated.liningOverlap ?? customary(1, unit),
    pipingStrip: stated.pipingStrip ?? customary(3 / 2, unit),
  }
}

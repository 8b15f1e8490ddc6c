import { z } from 'zod'
import { mm, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import { layerOf } from '../../material/layer.js'
import type { Job } from '../contract.js'
import { choiceOption, lengthOption, yesNoOption } from '../option-fields.js'

export interface SleeveOptions {
  readonly edge?: 'turned' | 'bound' | undefined
  readonly quilted?: boolean | undefined
  readonly quiltBothWays?: boolean | undefined
  readonly trimAllowance?: Length | undefined
  readonly bindingWidth?: Length | undefined
  readonly mouth?: 'bound' | 'plain' | undefined
  readonly turningOpening?: Length | undefined
}

export interface ResolvedOptions {
  readonly edge: 'turned' | 'bound'
  readonly quilted: boolean
  readonly quiltBothWays: boolean
  readonly trimAllowance: Length
  readonly mouth: 'bound' | 'plain'
  readonly turningOpening: Length
}

export const options = (unit: Unit) =>
  z.strictObject({
    edge: choiceOption(
      { turned: 'turned, lining dropped in', bound: 'bound, seam outside' },
      {
        label: 'Edges',
        help: 'Turned: no raw edge, quilted as a rule. Bound: walls sewn together and bound round three sides.',
      },
    ),
    quilted: yesNoOption({
      label: 'Quilted',
      help: 'Outer and padding quilted together, then trimmed to the lining.',
    }),
    quiltBothWays: yesNoOption({
      label: 'Quilted both ways',
      help: 'Lines across as well as upright: they hold a lofty batting better.',
    }),
    trimAllowance: lengthOption(
      unit,
      { min: zero, max: mm(60) },
      { label: 'Room to trim', help: 'What a quilted panel is cut larger by. {½ in} unless set.' },
    ),
    bindingWidth: lengthOption(
      unit,
      { min: mm(15), max: mm(150) },
      { label: 'Binding strip', help: 'Cut width, folded in four. As the bulk needs unless set.' },
    ),
    mouth: choiceOption(
      { bound: 'bound', plain: 'finished by itself, a hem say' },
      {
        label: 'Mouth of each wall',
        help: 'Bound sleeves only. Where the cloth has a hem of its own, nothing is cut for it.',
      },
    ),
    turningOpening: lengthOption(
      unit,
      { min: mm(25), max: mm(500) },
      {
        label: 'Turning opening',
        help: 'Turned sleeves only: left open beside the loop, to turn it through. {4 in} unless set.',
      },
    ),
  })

/** Quilted where it is padded and turned. */
export function resolveOptions({ unit, stack, options: stated }: Job<SleeveOptions>): ResolvedOptions {
  const edge = stated.edge ?? 'turned'
  return {
    edge,
    quilted: stated.quilted ?? (edge === 'turned' && layerOf(stack, 'padding') !== undefined),
    quiltBothWays: stated.quiltBothWays ?? false,
    trimAllowance: stated.trimAllowance ?? customary(1 / 2, unit),
    mouth: stated.mouth ?? 'bound',
    turningOpening: stated.turningOpening ?? customary(4, unit),
  }
}

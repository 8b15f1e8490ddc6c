import { z } from 'zod'
import { add, mm, zero, type Length } from '../../length/length.js'
import { customary, type Unit } from '../../length/unit.js'
import { largestReading } from '../../object/reading.js'
import type { Job } from '../contract.js'
import { countOption, lengthOption, yesNoOption } from '../option-fields.js'

export interface SoftWrapOptions {
  readonly foreEdgeRoom?: Length | undefined
  readonly headTailRoom?: Length | undefined
  readonly spineWidth?: Length | undefined
  readonly flap?: Length | undefined
  readonly stiffener?: boolean | undefined
  readonly signatures?: number | undefined
}

export interface ResolvedOptions {
  readonly foreEdgeRoom: Length
  readonly headTailRoom: Length
  readonly spineWidth: Length
  readonly flap: Length
  readonly stiffener: boolean
  /** Sewn to the spine; none where the journal is held otherwise. */
  readonly signatures: number
}

const room = { min: zero, max: mm(100) }

export const options = (unit: Unit) =>
  z.strictObject({
    foreEdgeRoom: lengthOption(unit, room, {
      label: 'Room at the fore-edge',
      help: 'What sticks out of the pages, tabs and lace, counts in. {½ in} unless set.',
    }),
    headTailRoom: lengthOption(unit, room, {
      label: 'Room at head and tail',
      help: 'At each end. {½ in} unless set.',
    }),
    spineWidth: lengthOption(
      unit,
      { min: mm(3), max: mm(200) },
      { label: 'Spine', help: 'As thick as the contents; the fore-edge takes the same. {2 in} is usual.' },
    ),
    flap: lengthOption(
      unit,
      { min: mm(10), max: mm(300) },
      { label: 'Flap', help: 'What wraps over the front. {2 in} unless set.' },
    ),
    stiffener: yesNoOption({
      label: 'Card stiffener',
      help: 'Creased at the panel lines; none in the flap, which a bag would crease.',
    }),
    signatures: countOption(
      { min: 0, max: 24 },
      { label: 'Signatures sewn in', help: 'A row of stations on the spine for each. None unless set.' },
    ),
  })

export function resolveOptions({
  object,
  unit,
  options: stated,
  inside,
}: Job<SoftWrapOptions>): ResolvedOptions {
  const contents = largestReading(object, 'contentsThickness')
  return {
    foreEdgeRoom: stated.foreEdgeRoom ?? customary(1 / 2, unit),
    headTailRoom: stated.headTailRoom ?? customary(1 / 2, unit),
    spineWidth: stated.spineWidth ?? (contents === undefined ? customary(2, unit) : add(contents, inside)),
    flap: stated.flap ?? customary(2, unit),
    stiffener: stated.stiffener ?? true,
    signatures: stated.signatures ?? 0,
  }
}

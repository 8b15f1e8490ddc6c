import { z } from 'zod'
import { lengthOption } from '../../families/option-fields.js'
import { placePanels, upright, type StripLine } from '../../families/strip.js'
import { findingWhen } from '../../finding/finding.js'
import { add, mm, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { layerOf, outerOf } from '../../material/layer.js'
import { refusesGlued } from '../closure.js'
import { defineExtra, extraPlan } from '../contract.js'
import { type Place, fixedPlace } from '../place-keys.js'
import { placeOptions } from '../place.js'

interface QuiltingOptions extends Place {
  readonly pitch?: Length | undefined
}

/** Upright lines 1½ in apart through outer and padding, before the layers join. Source: docs/craft.md, Trimmings. */
export const quilting = defineExtra<QuiltingOptions>({
  type: 'quilting',
  version: 1,
  words: {
    name: 'Quilting lines',
    summary: 'Lines stitched through outer and padding. Set the layers to quilted, too: they take up cloth.',
  },
  group: 'trimming',
  refuses: refusesGlued,
  places: fixedPlace,
  options: unit =>
    z.strictObject({
      pitch: lengthOption(
        unit,
        { min: mm(8), max: mm(150) },
        { label: 'Lines apart', help: '{1 ½ in} unless set.' },
      ),
      ...placeOptions(unit),
    }),
  plan: ({ unit, stack, options, cover: { strip }, about }) => {
    const pitch = options.pitch ?? customary(3 / 2, unit)
    const body = placePanels(strip.panels).filter(
      ({ kind }) => kind !== 'flap' && kind !== 'spine' && kind !== 'gap',
    )
    const lines = body.flatMap(({ x, width }): readonly StripLine[] => {
      const count = Math.floor(width / pitch)
      const left = subtract(width, scale(pitch, count - 1))
      const first = add(x, scale(left > zero ? left : width, 1 / 2))
      return Array.from({ length: count }, (_, index) =>
        upright('quilting', add(first, scale(pitch, index)), strip.height, 'outside'),
      )
    })
    return extraPlan({
      lines,
      notes: [{ label: 'lines apart', length: pitch }],
      findings: findingWhen(!layerOf(stack, 'padding'), 'quilting-without-padding', about, {
        cloth: outerOf(stack).name || 'the outer cloth',
      }),
    })
  },
})

import { z } from 'zod'
import { countOption, yesNoOption } from '../../families/option-fields.js'
import type { StripLine } from '../../families/strip.js'
import { findingWhen } from '../../finding/finding.js'
import { add, scale, subtract, zero, type Length } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Piece } from '../../piece/piece.js'
import { because, twice } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { refusesGlued } from '../closure.js'
import { defineExtra, type ExtraJob } from '../contract.js'
import type { Size } from '../place.js'
import { anyPlace } from '../place-keys.js'
import {
  onePly,
  pocketEdges,
  planPocket,
  pocketOptions,
  pocketThickness,
  type PocketOptions,
} from '../pocket.js'

interface TieredOptions extends PocketOptions {
  readonly tiers?: number | undefined
  readonly single?: boolean | undefined
}

const fewest = 2
const parts = ['front', 'second', 'third', 'back'] as const

/** Two to four pockets behind each other, the shortest in front, each folded double. Source: docs/craft.md, Pockets. */
export const pocketTiered = defineExtra<TieredOptions>({
  type: 'pocket-tiered',
  version: 1,
  words: {
    name: 'Tiered pockets',
    summary: 'Two to four pockets, one behind the other, the shortest in front.',
  },
  group: 'pocket',
  refuses: refusesGlued,
  places: anyPlace,
  options: unit =>
    z.strictObject({
      tiers: countOption(
        { min: fewest, max: 4 },
        { label: 'Tiers', help: 'They step up by at least {1 in}.' },
      ),
      single: yesNoOption({
        label: 'Single layers',
        help: 'Each tier one layer with a hem at its mouth, instead of folded double.',
      }),
      ...pocketOptions(unit),
    }),
  thickness: brief =>
    pocketThickness(brief, stack =>
      scale(onePly(stack), (brief.options.single ? 1 : 2) * (brief.options.tiers ?? fewest)),
    ),
  plan: job => planPocket(job, 'Tiered pockets', size => makeTiers(job, size)),
})

/** The back tier is as high as the pocket; each before it is lower by the same step. */
function makeTiers(job: ExtraJob<TieredOptions>, { width, height }: Size) {
  const { options, unit, grid, about } = job
  const tiers = options.tiers ?? fewest
  const step = scale(height, 1 / (tiers + 1))
  const least = customary(1, unit)
  const { sides, foot, mouth, role } = pocketEdges(job)
  const single = options.single === true || options.card === true
  const names = [...parts.slice(0, tiers - 1), 'back'] as const
  const highs = names.map((_, index) => subtract(height, scale(step, tiers - 1 - index)))
  return {
    pieces: names.map((part, index): Piece => ({
      id: `pocket-tiered-${part}`,
      role,
      count: 1,
      width: sideRoundedUp([...because('finished width', width), ...sides], grid),
      height: sideRoundedUp(
        single
          ? [...because('height of the tier', highs[index] ?? zero), ...foot, ...mouth]
          : [...twice('height, folded double', highs[index] ?? zero), ...foot, ...foot],
        grid,
      ),
    })),
    lines: highs.slice(0, -1).map((high): StripLine => {
      const y: Length = subtract(height, high)
      return { kind: 'hem', from: [zero, y], to: [add(zero, width), y] }
    }),
    findings: findingWhen(step < least, 'step-too-small', about, { step, least }),
  }
}

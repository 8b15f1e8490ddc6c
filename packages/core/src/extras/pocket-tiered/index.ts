import { z } from 'zod'
import { countOption } from '../../families/option-fields.js'
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
  planPocket,
  pocketOptions,
  pocketThickness,
  turnedUnder,
  type PocketOptions,
} from '../pocket.js'

interface TieredOptions extends PocketOptions {
  readonly tiers?: number | undefined
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
      ...pocketOptions(unit),
    }),
  thickness: brief =>
    pocketThickness(brief, stack => scale(onePly(stack), 2 * (brief.options.tiers ?? fewest))),
  plan: job => planPocket(job, 'Tiered pockets', size => makeTiers(job, size)),
})

/** The back tier is as high as the pocket; each before it is lower by the same step. */
function makeTiers({ options, unit, grid, about }: ExtraJob<TieredOptions>, { width, height }: Size) {
  const tiers = options.tiers ?? fewest
  const step = scale(height, 1 / (tiers + 1))
  const least = customary(1, unit)
  const under = turnedUnder(unit)
  const names = [...parts.slice(0, tiers - 1), 'back'] as const
  const highs = names.map((_, index) => subtract(height, scale(step, tiers - 1 - index)))
  return {
    pieces: names.map((part, index): Piece => ({
      id: `pocket-tiered-${part}`,
      role: 'outer',
      count: 1,
      width: sideRoundedUp([...because('finished width', width), ...twice('turned under', under)], grid),
      height: sideRoundedUp(
        [...twice('height, folded double', highs[index] ?? zero), ...twice('seam at the foot', under)],
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

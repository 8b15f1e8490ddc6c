import { z } from 'zod'
import { yesNoOption } from '../../families/option-fields.js'
import { findingWhen } from '../../finding/finding.js'
import { customary } from '../../length/unit.js'
import { mm } from '../../length/length.js'
import { layerOf } from '../../material/layer.js'
import { because, twice } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { refusesGlued } from '../closure.js'
import { defineExtra, type ExtraJob } from '../contract.js'
import type { Size } from '../place.js'
import { anyPlace } from '../place-keys.js'
import { planPocket, pocketOptions, pocketThickness, type PocketOptions } from '../pocket.js'

interface ClearOptions extends PocketOptions {
  readonly readyMade?: boolean | undefined
}

/** Clear vinyl, folded at the mouth and stitched to the flap only. Source: docs/craft.md, Pockets. */
export const pocketClear = defineExtra<ClearOptions>({
  type: 'pocket-clear',
  version: 1,
  words: { name: 'Clear pocket', summary: 'Clear vinyl over a card that stays in sight. No iron near it.' },
  group: 'pocket',
  refuses: refusesGlued,
  places: anyPlace,
  options: unit =>
    z.strictObject({
      readyMade: yesNoOption({
        label: 'A ready-made sleeve',
        help: 'Bought, not cut: enter its size as the pocket’s.',
      }),
      ...pocketOptions(unit),
    }),
  thickness: brief => pocketThickness(brief, stack => layerOf(stack, 'clear')?.thickness ?? mm(0.2)),
  plan: job => planPocket(job, 'Clear pocket', size => makeClear(job, size)),
})

function makeClear(job: ExtraJob<ClearOptions>, { width, height }: Size) {
  const { unit, grid, options, traits, about, seam } = job
  const caught = options.caught ? twice('into the seams', seam) : []
  const through = options.on === 'outer' && traits.includes('book')
  return {
    pieces: options.readyMade
      ? []
      : [
          {
            id: 'pocket-clear',
            role: 'clear' as const,
            count: 1,
            width: sideRoundedUp([...because('finished width', width), ...caught], grid),
            height: sideRoundedUp(
              [
                ...because('finished height', height),
                ...because('fold at the mouth', customary(1 / 2, unit)),
              ],
              grid,
            ),
          },
        ],
    findings: findingWhen(through, 'pocket-through-outside', about, { extra: 'Clear pocket', on: 'outer' }),
  }
}

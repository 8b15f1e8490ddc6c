import { z } from 'zod'
import { customary } from '../../length/unit.js'
import { because, twice } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { refusesGlued } from '../closure.js'
import { defineExtra } from '../contract.js'
import { anyPlace } from '../place-keys.js'
import {
  onePly,
  planPocket,
  pocketOptions,
  pocketThickness,
  turnedUnder,
  type PocketOptions,
} from '../pocket.js'

/** One layer, its mouth hemmed ¼ in twice. Source: docs/craft.md, Pockets. */
export const pocketPatch = defineExtra<PocketOptions>({
  type: 'pocket-patch',
  version: 1,
  words: {
    name: 'Patch pocket',
    summary: 'One layer, hemmed at the mouth, stitched on at the sides and the foot.',
  },
  group: 'pocket',
  refuses: refusesGlued,
  places: anyPlace,
  options: unit => z.strictObject(pocketOptions(unit)),
  thickness: brief => pocketThickness(brief, onePly),
  plan: job =>
    planPocket(job, 'Patch pocket', ({ width, height }) => {
      const under = turnedUnder(job.unit)
      return {
        pieces: [
          {
            id: 'pocket-patch',
            role: 'outer',
            count: 1,
            width: sideRoundedUp(
              [...because('finished width', width), ...twice('turned under', under)],
              job.grid,
            ),
            height: sideRoundedUp(
              [
                ...because('finished height', height),
                ...because('turned under at the foot', under),
                ...twice('hem at the mouth', customary(1 / 4, job.unit)),
              ],
              job.grid,
            ),
          },
        ],
      }
    }),
})

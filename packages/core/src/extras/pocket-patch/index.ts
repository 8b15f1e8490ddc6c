import { z } from 'zod'
import { because } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { refusesGlued } from '../closure.js'
import { defineExtra } from '../contract.js'
import { anyPlace } from '../place-keys.js'
import {
  onePly,
  pocketEdges,
  planPocket,
  pocketOptions,
  pocketThickness,
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
      const edges = pocketEdges(job)
      return {
        pieces: [
          {
            id: 'pocket-patch',
            role: edges.role,
            count: 1,
            width: sideRoundedUp([...because('finished width', width), ...edges.sides], job.grid),
            height: sideRoundedUp(
              [...because('finished height', height), ...edges.foot, ...edges.mouth],
              job.grid,
            ),
          },
        ],
      }
    }),
})

import { z } from 'zod'
import { refusesGlued } from '../closure.js'
import { defineExtra } from '../contract.js'
import { facedPieces } from '../faced.js'
import { anyPlace } from '../place-keys.js'
import { facedPly, planPocket, pocketOptions, pocketThickness, type PocketOptions } from '../pocket.js'

/** Outer and lining, sewn right sides together and turned. Source: docs/craft.md, Pockets. */
export const pocketFaced = defineExtra<PocketOptions>({
  type: 'pocket-faced',
  version: 1,
  words: {
    name: 'Faced pocket',
    summary: 'Outer and lining turned right side out: no raw edge, a firm mouth.',
  },
  group: 'pocket',
  refuses: refusesGlued,
  places: anyPlace,
  options: unit => z.strictObject(pocketOptions(unit)),
  thickness: brief => pocketThickness(brief, facedPly),
  plan: job => planPocket(job, 'Faced pocket', size => ({ pieces: facedPieces(job, 'pocket-faced', size) })),
})

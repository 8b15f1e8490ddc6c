import { z } from 'zod'
import { refusesGlued } from '../closure.js'
import { defineExtra } from '../contract.js'
import { facedPieces } from '../faced.js'
import { anyPlace } from '../place-keys.js'
import { facedPly, planPocket, pocketOptions, pocketThickness, type PocketOptions } from '../pocket.js'

/** A faced pocket with a curved mouth, snipped ⅛ in deep every ¼ to ½ in. Source: docs/craft.md, Pockets. */
export const pocketScoop = defineExtra<PocketOptions>({
  type: 'pocket-scoop',
  version: 1,
  words: { name: 'Scoop pocket', summary: 'Lined, its mouth curved so that fingers find what is in it.' },
  group: 'pocket',
  refuses: refusesGlued,
  places: anyPlace,
  options: unit => z.strictObject(pocketOptions(unit)),
  thickness: brief => pocketThickness(brief, facedPly),
  plan: job => planPocket(job, 'Scoop pocket', size => ({ pieces: facedPieces(job, 'pocket-scoop', size) })),
})

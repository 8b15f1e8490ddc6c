import { z } from 'zod'
import type { StripLine } from '../../families/strip.js'
import { scale, zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import type { Piece } from '../../piece/piece.js'
import { because, twice } from '../../piece/reason.js'
import { sideRoundedUp } from '../../piece/side.js'
import { refusesGlued } from '../closure.js'
import { defineExtra, type ExtraJob } from '../contract.js'
import type { Size } from '../place.js'
import { anyPlace } from '../place-keys.js'
import {
  facedPly,
  pocketEdges,
  planPocket,
  pocketOptions,
  pocketThickness,
  turnedUnder,
  type PocketOptions,
} from '../pocket.js'

/** A low and a high part, two of each, with a zip between them. Source: docs/craft.md, Pockets. */
export const pocketZip = defineExtra<PocketOptions>({
  type: 'pocket-zip',
  version: 1,
  words: { name: 'Zip pocket', summary: 'Two doubled strips with a zip between them: nothing falls out.' },
  group: 'pocket',
  refuses: refusesGlued,
  places: anyPlace,
  options: unit => z.strictObject(pocketOptions(unit)),
  thickness: brief => pocketThickness(brief, facedPly),
  plan: job => planPocket(job, 'Zip pocket', size => makeZip(job, size)),
})

function makeZip(job: ExtraJob<PocketOptions>, { width, height }: Size) {
  const { unit, grid } = job
  const { sides } = pocketEdges(job, 'seam')
  const seam = twice('seam', turnedUnder(unit))
  const part = (name: 'low' | 'high', share: number): Piece => ({
    id: `pocket-zip-${name}`,
    role: 'outer',
    count: 2,
    width: sideRoundedUp([...because('finished width', width), ...sides], grid),
    height: sideRoundedUp([...because(`${name} part of the height`, scale(height, share)), ...seam], grid),
  })
  const y = scale(height, 1 / 3)
  const zip: StripLine = { kind: 'zip', from: [zero, y], to: [width, y] }
  const length = sideRoundedUp(
    [...because('finished width', width), ...because('to sew in', customary(2, unit))],
    grid,
  )
  return {
    pieces: [part('low', 2 / 3), part('high', 1 / 3)],
    notions: [{ id: 'pocket-zip-zip', kind: 'zip' as const, count: 1, length, measureFirst: false }],
    lines: [zip],
  }
}

import { customary } from '../../length/unit.js'
import { wrappedBookReadings } from '../../object/required.js'
import { defineFamily } from '../contract.js'
import { checkSlipCover } from './checks.js'
import { options, resolveOptions, type SlipCoverOptions } from './options.js'
import { cutPieces } from './pieces.js'
import { recipes } from './recipes.js'
import { cutSection } from './section.js'
import { sizeBody, targetEase } from './size.js'
import { layStrip } from './strip.js'
import { words } from './words.js'

export const slipCover = defineFamily<SlipCoverOptions>({
  id: 'slip-cover',
  version: 1,
  words,
  requiredReadings: wrappedBookReadings,
  boardCounts: true,
  ruleMeasures: ['open', 'wrap'],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: () => ({ width: targetEase, height: targetEase }),
  options,
  resolveOptions,
  recipes,
  plan: job => {
    const resolved = resolveOptions(job)
    const body = sizeBody(job, resolved)
    const pieces = cutPieces(job, body, resolved)
    return {
      pieces,
      standOff: { body: body.bulk, flap: body.flapBulk },
      fits: [body.fitWidth, body.fitHeight],
      findings: checkSlipCover(job, body, resolved),
      strip: layStrip(job, body, pieces, resolved),
      section: cutSection(job, resolved),
    }
  },
})

import { zero } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { wrappedBookReadings } from '../../object/required.js'
import { bookSection, defaultBookEase } from '../book.js'
import { defineFamily } from '../contract.js'
import { drawnFlapPlies, flapPliesOf, flapThickness } from '../flap-plies.js'
import { caughtIn, seamBulk } from '../seam.js'
import { takenFrom } from '../sized.js'
import { checkSlipCover } from './checks.js'
import { joinings } from './joinings.js'
import { options, resolveOptions, type SlipCoverOptions } from './options.js'
import { cutPieces } from './pieces.js'
import { recipes } from './recipes.js'
import { sizeBody } from './size.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const slipCover = defineFamily<SlipCoverOptions>({
  id: 'slip-cover',
  version: 1,
  words,
  traits: ['book', 'flaps', 'turned', 'seamed', 'lined'],
  suits,
  requiredReadings: wrappedBookReadings,
  besideOldCover: [],
  boardCounts: true,
  severalObjects: false,
  ruleMeasures: ['open', 'wrap'],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: defaultBookEase,
  options,
  resolveOptions,
  recipes,
  plan: job => {
    const { object, stack, seam } = job
    const resolved = resolveOptions(job)
    const body = sizeBody(job, resolved)
    const pieces = cutPieces(job, body, resolved)
    const { flapDepth } = resolved
    const flap = flapPliesOf(job, resolved.flapStyle)
    return {
      pieces,
      notions: [],
      standOff: { body: body.bulk, flap: body.flapBulk },
      fits: [body.fitWidth, body.fitHeight],
      findings: checkSlipCover(job, body, resolved),
      allowances: takenFrom(body, { width: body.fitWidth.finished, height: body.fitHeight.finished }),
      seams: [seamBulk('seam at the flaps', caughtIn(stack, seam), flapThickness(flap))],
      strip: layStrip(job, body, pieces, resolved),
      section: bookSection(
        object,
        stack,
        flapDepth > zero ? { depth: flapDepth, plies: drawnFlapPlies(flap) } : undefined,
      ),
      joinings: joinings(pieces),
    }
  },
})

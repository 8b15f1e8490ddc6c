import { scale } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf } from '../../material/layer.js'
import { wrappedBookReadings } from '../../object/required.js'
import { bookSection, defaultBookEase } from '../book.js'
import { defineFamily } from '../contract.js'
import { plyOf } from '../section.js'
import { caughtIn, seamBulk } from '../seam.js'
import { checkTurnedFlaps } from './checks.js'
import { joinings } from './joinings.js'
import { options, resolveOptions, type TurnedFlapOptions } from './options.js'
import { cutPieces } from './pieces.js'
import { recipes } from './recipes.js'
import { sizeBody } from './size.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const turnedFlapCover = defineFamily<TurnedFlapOptions>({
  id: 'turned-flap-cover',
  version: 1,
  words,
  traits: ['book', 'flaps', 'turned', 'seamed', 'lined'],
  suits,
  requiredReadings: wrappedBookReadings,
  boardCounts: true,
  severalObjects: false,
  ruleMeasures: ['wrap'],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: defaultBookEase,
  options,
  resolveOptions,
  recipes,
  plan: job => {
    const { object, stack, seam } = job
    const resolved = resolveOptions(job)
    const single = resolved.construction === 'single'
    const body = sizeBody(job, resolved)
    const pieces = cutPieces(job, body, resolved)
    const plies = single ? [plyOf(outerOf(stack))] : stack.map(plyOf)
    const bulk = single ? scale(outerOf(stack).thickness, 2) : scale(caughtIn(stack, seam), 2)
    return {
      pieces,
      notions: [],
      standOff: { body: body.bulk, flap: body.bulk },
      fits: [body.fitWidth, body.fitHeight],
      findings: checkTurnedFlaps(job, body, resolved),
      seams: [seamBulk('edge at the folded flaps', bulk)],
      strip: layStrip(job, body, pieces, resolved),
      section: bookSection(object, stack, { depth: body.flap, plies }),
      joinings: joinings(pieces, single),
    }
  },
})

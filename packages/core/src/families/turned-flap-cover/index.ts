import { scale } from '../../length/length.js'
import { customary } from '../../length/unit.js'
import { outerOf, wallOf } from '../../material/layer.js'
import { wrappedBookReadings } from '../../object/required.js'
import { bookSection, foldedBookEase } from '../book.js'
import { defineFamily } from '../contract.js'
import { plyOf } from '../section.js'
import { caughtIn, seamBulk } from '../seam.js'
import { checkTurnedFlaps } from './checks.js'
import { joinings } from './joinings.js'
import { options, resolveOptions, type TurnedFlapOptions } from './options.js'
import { cutPieces } from './pieces.js'
import { recipes } from './recipes.js'
import { flapRooms } from './rooms.js'
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
  besideOldCover: [],
  boardCounts: true,
  severalObjects: false,
  ruleMeasures: ['wrap'],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: foldedBookEase,
  options,
  resolveOptions,
  unused: ({ construction }) => (construction === 'single' ? [] : ['endHem', 'headTailTurn']),
  recipes,
  plan: job => {
    const { object, stack, seam } = job
    const resolved = resolveOptions(job)
    const single = resolved.construction === 'single'
    const body = sizeBody(job, resolved)
    const pieces = cutPieces(job, body, resolved)
    const plies = wallOf(single ? stack : stack.filter(({ role }) => role !== 'padding')).map(plyOf)
    const bulk = single ? scale(outerOf(stack).thickness, 2) : scale(caughtIn(stack, seam), 2)
    return {
      pieces,
      notions: [],
      standOff: { body: body.bulk, flap: body.flapBulk },
      fits: [body.fitWidth, body.fitHeight],
      findings: checkTurnedFlaps(job, body, resolved),
      ...(!single && { allowances: { width: scale(body.edge, 2), height: scale(body.edge, 2) } }),
      seams: [seamBulk('edge at the folded flaps', bulk)],
      clearances: flapRooms(job, body, resolved),
      strip: layStrip(job, body, pieces, resolved),
      section: bookSection(object, stack, { depth: body.flap, plies }),
      joinings: joinings(pieces, single),
    }
  },
})

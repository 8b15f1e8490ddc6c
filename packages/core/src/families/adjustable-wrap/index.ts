import { findingWhen, type Finding } from '../../finding/finding.js'
import { checkFit } from '../../fit/fit.js'
import { customary } from '../../length/unit.js'
import { scale } from '../../length/length.js'
import { clothOf } from '../../material/cut-from.js'
import { outerOf, wallOf } from '../../material/layer.js'
import { wrappedBookReadings } from '../../object/required.js'
import { bookSection, checkWidthKnown, defaultBookEase } from '../book.js'
import { defineFamily, type Job } from '../contract.js'
import { piled, type Joining } from '../joining.js'
import { plyOf } from '../section.js'
import { caughtIn, seamBulk } from '../seam.js'
import { takenFrom } from '../sized.js'
import { serveBooks, type ServedBook } from './books.js'
import { options, resolveOptions, type AdjustableWrapOptions, type ResolvedOptions } from './options.js'
import { cutPieces } from './pieces.js'
import { serveMore } from './serve-more.js'
import { sizeBody, type Body } from './size.js'
import { keepRooms } from './rooms.js'
import { layStrip } from './strip.js'
import { suits, words } from './words.js'

export const adjustableWrap = defineFamily<AdjustableWrapOptions>({
  id: 'adjustable-wrap',
  version: 1,
  words,
  traits: ['book', 'turned', 'seamed', 'lined', 'folds-over'],
  suits,
  requiredReadings: wrappedBookReadings,
  boardCounts: true,
  severalObjects: true,
  variedOptions: ['freeFlap'],
  ruleMeasures: ['wrap'],
  defaultSeam: unit => customary(1 / 4, unit),
  defaultEase: defaultBookEase,
  defaultInset: (role, unit) => (role === 'interfacing' ? customary(1 / 4, unit) : undefined),
  options,
  resolveOptions: job => {
    const resolved = resolveOptions(job)
    const body = sizeBody(job, resolved)
    const [first] = serveBooks({ ...job, objects: [body.largest] }, resolved, {
      width: body.finishedWidth,
      bulk: body.bulk,
    })
    return { ...resolved, freeFlap: job.options.freeFlap ?? first?.free }
  },
  recipes: [],
  plan: job => {
    const { stack, seam } = job
    const resolved = resolveOptions(job)
    const body = sizeBody(job, resolved)
    const pieces = cutPieces(job, body)
    const served = serveBooks(job, resolved, { width: body.finishedWidth, bulk: body.bulk })
    return {
      pieces,
      notions: [],
      standOff: { body: body.bulk, flap: body.bulk },
      fits: [body.fitHeight],
      findings: [
        ...checkFit(body.fitHeight),
        ...checkServed(job, resolved, body, served),
        ...job.objects.flatMap(checkWidthKnown),
      ],
      allowances: takenFrom(body, { width: body.finishedWidth, height: body.fitHeight.finished }),
      seams: [seamBulk('seam at the strap', caughtIn(stack, seam), strapPlies(job))],
      clearances: keepRooms(job, body, resolved),
      serves: served.map(({ book, free, reason }) => ({ book, free, ...(reason && { reason }) })),
      strip: layStrip(job, body, pieces, resolved),
      section: bookSection(body.largest, stack, {
        depth: resolved.fixedFlap,
        plies: wallOf(stack).map(plyOf),
      }),
      joinings: joinings(job),
    }
  },
})

/** The strap lies doubled in the seam. */
function strapPlies(job: Job<AdjustableWrapOptions>) {
  return scale((clothOf(job, 'strap', 'outer') ?? outerOf(job.stack)).thickness, 2)
}

/** What mends the most of them stands once, beside the first. */
function checkServed(
  job: Job<AdjustableWrapOptions>,
  options: ResolvedOptions,
  body: Body,
  served: readonly ServedBook[],
): readonly Finding[] {
  const left = served.filter(({ reason }) => reason !== undefined)
  const repair = left.length > 0 ? serveMore(job, options, body) : undefined
  return left.flatMap(({ book, reason, found, limit }, index) =>
    reason
      ? findingWhen(
          true,
          'book-not-served',
          'option:freeFlap',
          { book, reason, found, limit },
          index === 0 ? repair : undefined,
        )
      : [],
  )
}

function joinings({ stack }: Job<AdjustableWrapOptions>): readonly Joining[] {
  const lining = stack.some(({ role }) => role === 'lining')
  return [
    {
      id: 'close-round',
      name: 'Strap on the lining, sew all round, turn',
      layers: [
        ...(lining ? [piled('lining', 'right side up')] : []),
        piled('strap', 'right side up', 'right', 'strap, across the free end'),
        piled('outer', 'right side down'),
      ],
      edges: ['left', 'right', 'top', 'bottom'],
      how: 'stitch',
      opening: 'straight-end',
      seenFrom: 'the wrong side of the outer',
    },
    {
      id: 'fixed-flap',
      name: 'Fold the fixed flap and stitch it top and bottom',
      layers: [
        piled(lining ? 'lining' : 'outer', 'right side up', undefined, 'the cover, inside up'),
        piled('outer', 'right side up', 'left', 'its end folded back'),
      ],
      edges: ['top', 'bottom'],
      how: 'stitch',
      seenFrom: 'the inside of the cover',
    },
  ]
}

import { withObjects, type Cover } from '../file/cover.js'
import type { Fit } from '../fit/fit.js'
import { add, mm, negate, scale, subtract, zero, type Length } from '../length/length.js'
import { customary } from '../length/unit.js'
import { layerOf, quiltedTakeUp, type Layer } from '../material/layer.js'
import { deriveBoard, deriveSpineArc } from '../object/derive.js'
import { largestReading, type CoveredObject, type Reading, type ReadingKey } from '../object/reading.js'
import { totalOf, type Reason } from '../piece/reason.js'
import type { Planned, WhatIf } from './what-if.js'

const eighth = ({ cover }: Planned) => customary(1 / 8, cover.unit)

/** Folds set on the thing itself follow it, whatever was cut. */
const followsCut = ({ making }: Fit) => making.cutEdges > 0

const cutShort: WhatIf = {
  id: 'cut-short',
  name: 'Cut short',
  happens: (planned, say) => `Every piece of the cover is cut ${say(eighth(planned))} short, both ways.`,
  cannot: () => undefined,
  cutsOff: (fit, planned) => (followsCut(fit) ? eighth(planned) : zero),
  everyPiece: eighth,
}

const wideSeam: WhatIf = {
  id: 'wide-seam',
  name: 'Seam too wide',
  happens: (planned, say) => {
    const { seam } = planned.plan.settled
    return `It is sewn with a seam of ${say(add(seam, eighth(planned)))} instead of ${say(seam)}.`
  },
  cannot: ({ plan }) =>
    plan.fits.some(({ making }) => making.seamLines > 0) ? undefined : 'nothing of its size is sewn',
  finishes: (finished, { making }, planned) => subtract(finished, scale(eighth(planned), making.seamLines)),
  allowed: (cover, planned) => ({ ...cover, seam: add(planned.plan.settled.seam, eighth(planned)) }),
}

const highLoft: WhatIf = {
  id: 'high-loft',
  name: 'High-loft batting',
  happens: (_, say) =>
    `High-loft batting, ${say(loft.thickness)} thick, goes in instead of the flat padding.`,
  cannot: ({ cover }) => {
    const padding = layerOf(cover.stack, 'padding')
    if (!padding) return 'it has no padding'
    return padding.thickness < loft.thickness ? undefined : 'its padding is as thick already'
  },
  really: cover => ({ ...cover, stack: cover.stack.map(puffUp) }),
}

const loft = { name: 'high-loft batting', thickness: mm(8), squash: 0.6, takeUp: 5 }

function puffUp(layer: Layer): Layer {
  return layer.role === 'padding' ? { ...layer, ...loft } : layer
}

const forgotSpine: WhatIf = {
  id: 'forgot-spine',
  name: 'Forgot the spine',
  happens: ({ cover }) =>
    cover.family.traits.includes('device')
      ? 'Only its width and height are counted, its thickness is forgotten.'
      : 'Two boards are counted, the spine between them is forgotten.',
  cannot: planned =>
    planned.plan.fits.every(fit => forgotten(fit, planned) === zero)
      ? 'the thickness of the thing does not enter it'
      : undefined,
  cutsOff: forgotten,
}

/** The parts of the need that rest on the thickness; of a wrap that was read whole, the spine it goes over. */
function forgotten(fit: Fit, { cover }: Planned): Length {
  if (!followsCut(fit)) return zero
  const parts = fit.errs.filter(({ cause }) =>
    cause?.kind === 'larger' ? overSpine(cause.ways) : isThickness(cause),
  )
  if (parts.length > 0) return totalOf(parts)
  const wrapped = fit.errs.some(
    ({ cause }) => cause?.kind === 'reading' && (cause.key === 'wrap' || cause.key === 'openWidth'),
  )
  return wrapped ? (deriveSpineArc(cover.object) ?? zero) : zero
}

function isThickness(cause: Reason['cause']): boolean {
  return cause?.kind === 'reading' && cause.key === 'thickness'
}

function overSpine(ways: readonly (readonly Reason[])[]): boolean {
  return ways.some(way => way.some(({ cause }) => isThickness(cause)))
}

const swappedSides: WhatIf = {
  id: 'swapped-sides',
  name: 'Sides swapped',
  happens: () => 'Height and width change places on the paper, and it is cut so.',
  cannot: ({ cover: { object }, plan }) => {
    const read = largestReading(object, 'width') !== undefined
    const counts = plan.fits.some(({ errs }) =>
      errs.some(({ cause }) => cause?.kind === 'reading' && cause.key === 'width'),
    )
    return read && counts ? undefined : 'its width comes off the wrap, not off the board'
  },
  mistaken: cover => withReadings(cover, swapSides),
}

function swapSides({ readings }: CoveredObject): CoveredObject['readings'] {
  const { height, width, ...others } = readings
  return { ...others, ...(width && { height: width }), ...(height && { width: height }) }
}

/** The paper of a usual dust jacket. */
const jacketPaper = mm(0.2)

const dustJacket: WhatIf = {
  id: 'dust-jacket',
  name: 'Dust jacket on',
  happens: (_, say) =>
    `The book goes in with its dust jacket on: paper of ${say(jacketPaper)} inside and outside each board.`,
  cannot: ({ cover }) =>
    cover.family.traits.includes('book') ? undefined : 'there is no jacket on what it holds',
  really: cover => withReadings(cover, object => thicken(object, scale(jacketPaper, 2))),
}

/** Both sides of the paper round boards and spine. */
function thicken(object: CoveredObject, by: Length): CoveredObject['readings'] {
  const grown = (key: ReadingKey) =>
    (object.readings[key] ?? []).map((reading): Reading => ({ ...reading, length: add(reading.length, by) }))
  const board: Reading = { text: '', length: add(deriveBoard(object).length, by), about: false }
  const keys = (['thickness', 'wrap', 'openWidth'] as const).filter(key => object.readings[key])
  return {
    ...object.readings,
    ...Object.fromEntries(keys.map(key => [key, grown(key)])),
    boardThickness: object.readings.boardThickness ? grown('boardThickness') : [board],
  }
}

function withReadings(cover: Cover, change: (object: CoveredObject) => CoveredObject['readings']): Cover {
  return withObjects(cover, object => ({ ...object, readings: change(object) }))
}

const washed: WhatIf = {
  id: 'washed',
  name: 'Washed afterwards',
  happens: ({ cover }) => `It goes into the wash unwashed and shrinks by ${shrinkage(cover)} %.`,
  cannot: ({ cover }) => (shrinkage(cover) > 0 ? undefined : 'none of its layers shrinks any more'),
  finishes: (finished, _, { cover }) => scale(finished, 1 - shrinkage(cover) / 100),
}

/** What shrinks most draws the others with it. */
function shrinkage({ stack }: Cover): number {
  return Math.max(0, ...stack.filter(layer => !layer.washed).map(layer => layer.shrinkage))
}

const untrimmed: WhatIf = {
  id: 'untrimmed',
  name: 'Quilted, no room to trim',
  happens: ({ cover }) =>
    `Quilted plies are cut to size, and the quilting takes up ${Math.round(takeUp(cover) * 1000) / 10} % of it.`,
  cannot: ({ cover, plan }) =>
    plan.pieces.some(({ trimTo }) => trimTo) && takeUp(cover) > 0
      ? undefined
      : 'nothing in it is quilted that takes up',
  finishes: (finished, fit, planned) => subtract(finished, takenUp(fit, planned)),
  takesUp: takenUp,
}

function takeUp({ stack }: Cover): number {
  return Math.max(
    quiltedTakeUp(stack),
    ...stack.map(layer => (layer.role === 'lining' ? 0 : layer.takeUp / 100)),
  )
}

function takenUp({ direction, making }: Fit, { cover, plan }: Planned): Length {
  const trimmed = plan.pieces.find(({ trimTo }) => trimTo)?.trimTo
  return trimmed && making.cutEdges > 0 ? scale(trimmed[direction], takeUp(cover)) : zero
}

export const whatIfs: readonly WhatIf[] = [
  cutShort,
  wideSeam,
  highLoft,
  forgotSpine,
  swappedSides,
  dustJacket,
  washed,
  untrimmed,
]

/** How much is lacking in a direction; nothing where it goes without stretch. */
export function missingIn({ ease, parts }: Fit): Length {
  return ease < zero ? scale(negate(ease), parts) : zero
}

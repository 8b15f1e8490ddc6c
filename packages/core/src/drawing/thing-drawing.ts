import type { SayLength } from '../finding/say.js'
import { mm, toMm, type Length } from '../length/length.js'
import { deriveProportions } from '../object/proportions.js'
import { readingWords } from '../object/reading-words.js'
import { largestReading, type CoveredObject, type ReadingKey } from '../object/reading.js'
import { line, type Drawing, type Mark } from './drawing.js'
import { at, circle, run, word } from './sketching.js'
import { boardEdge, drawFront, drawOpenFlat, drawTail, thingOf, type Thing } from './thing-views.js'

export interface ThingView {
  readonly reading: ReadingKey
  readonly say: SayLength
  /** The marks of the tape are so far apart: an inch or a centimetre. */
  readonly tapeUnit: Length
}

/**
 * The thing itself in the state that a reading is taken in, with the tape where it goes, its nought, and how it goes
 * wrong. In true proportion as far as it was measured; what is not known yet is as such things usually are.
 */
export function drawThing(object: CoveredObject, { reading, say, tapeUnit }: ThingView): Drawing {
  const sides = deriveProportions(object)
  const thing = thingOf(object.kind, object.spine, sides)
  const { marks, wide, high } = viewFor(reading, thing)
  const margin = 0.17 * Math.max(wide, high, 60)
  const length = largestReading(object, reading)
  const name = readingWords[reading].name
  const taken: Taken = {
    words: length === undefined ? `${name}?` : say(length),
    tick: toMm(tapeUnit),
    margin,
  }
  return {
    title: `The thing to measure, and the tape for ${name.toLowerCase()}${sides.known.size < 3 ? '; not to scale where it is not measured yet' : ''}`,
    from: [mm(-1.25 * margin), mm(-margin)],
    width: mm(wide + 2.5 * margin),
    height: mm(high + 2 * margin),
    marks: [...marks, ...slipOf(reading, thing, margin), ...tapeOf(reading, thing, taken)],
  }
}

interface View {
  readonly marks: readonly Mark[]
  readonly wide: number
  readonly high: number
}

/** Closed under a hand, from its tail, or open and flat: as the reading is taken. */
function viewFor(reading: ReadingKey, thing: Thing): View {
  const { width, height, thickness } = thing
  switch (reading) {
    case 'height':
    case 'width':
    case 'pageWidth':
    case 'pageHeight':
    case 'cornerRadius':
      return { marks: drawFront(thing), wide: width, high: height }
    case 'thickness':
    case 'wrap':
    case 'boardThickness':
    case 'coilDiameter':
    case 'contentsThickness':
    case 'grooveDepth':
      return { marks: drawTail(thing), wide: width, high: thickness }
    case 'openWidth':
      return { marks: drawOpenFlat(thing), wide: 2 * width + thickness, high: height }
  }
}

interface Taken {
  readonly words: string
  readonly tick: number
  readonly margin: number
}

function tapeOf(reading: ReadingKey, thing: Thing, taken: Taken): readonly Mark[] {
  const { height, width, thickness, coil, corner } = thing
  const { words, margin } = taken
  switch (reading) {
    case 'height':
      return upright(-0.4 * margin, 0, height, taken)
    case 'pageHeight':
      return upright(0.6 * width, 0, height, taken)
    case 'width':
      return along(height + 0.4 * margin, 0, width, taken)
    case 'pageWidth':
      return along(0.5 * height, 0, width, taken)
    case 'openWidth':
      return along(height + 0.4 * margin, 0, 2 * width + thickness, taken)
    case 'thickness':
      return pinch(-0.35 * margin, 0, thickness, taken)
    case 'contentsThickness':
      return pinch(width + 0.35 * margin, 0, thickness, taken)
    case 'boardThickness':
      return pinch(width + 0.35 * margin, 0, Math.max(0.6, thing.board), taken)
    case 'coilDiameter':
      return [
        ...pinch(-0.35 * margin, thickness / 2 - coil / 2, thickness / 2 + coil / 2, taken),
        circle(coil / 4, thickness / 2, coil / 2, 'tape'),
      ]
    case 'wrap':
      return [
        run('tape', [at(width, -3), at(-3, -3), at(-3, thickness + 3), at(width, thickness + 3)]),
        word(width + 0.35 * margin, -3, '0'),
        word(width + 0.6 * margin, thickness + 3, words),
      ]
    case 'grooveDepth':
      return [line(at(6, -0.5 * margin), at(6, 2), 'tape', 'end'), word(6, -0.65 * margin, words)]
    case 'cornerRadius': {
      const radius = Math.max(4, Math.min(corner, width / 3))
      return [
        run('tape', [at(width - radius, -4), at(width, -4)]),
        run('tape', [at(width + 4, 0), at(width + 4, radius)]),
        word(width - radius / 2, -0.4 * margin, words),
      ]
    }
  }
}

/** A tape beside it, nought at the head. */
function upright(x: number, from: number, to: number, { words, tick, margin }: Taken): readonly Mark[] {
  return [
    line(at(x, from), at(x, to), 'tape', 'end'),
    ...ticks(from, to, tick).map(y => line(at(x - 0.05 * margin, y), at(x + 0.05 * margin, y), 'measure')),
    word(x - 0.22 * margin, from, '0'),
    word(x, to + 0.3 * margin, words),
  ]
}

/** A tape across it, nought at the left. */
function along(y: number, from: number, to: number, { words, tick, margin }: Taken): readonly Mark[] {
  return [
    line(at(from, y), at(to, y), 'tape', 'end'),
    ...ticks(from, to, tick).map(x => line(at(x, y - 0.05 * margin), at(x, y + 0.05 * margin), 'measure')),
    word(from, y + 0.22 * margin, '0'),
    word((from + to) / 2, y + 0.3 * margin, words),
  ]
}

/** Calipers, or finger and thumb: from both sides. */
function pinch(x: number, from: number, to: number, { words, margin }: Taken): readonly Mark[] {
  return [
    line(at(x, from - 0.45 * margin), at(x, from), 'tape', 'end'),
    line(at(x, to + 0.45 * margin), at(x, to), 'tape', 'end'),
    word(x, from - 0.6 * margin, words),
  ]
}

/** The marks of a tape, the first behind its nought. */
function ticks(from: number, to: number, apart: number): readonly number[] {
  return Array.from({ length: Math.floor((to - from) / apart) }, (_, index) => from + (index + 1) * apart)
}

/** Where the tape lies when the reading comes out wrong. */
function slipOf(reading: ReadingKey, thing: Thing, margin: number): readonly Mark[] {
  const { height, width, thickness, coil } = thing
  switch (reading) {
    case 'height':
      return [line(at(0.75 * width, boardEdge), at(0.75 * width, height - boardEdge), 'slit', 'both')]
    case 'width':
      return [line(at(0.07 * width, 0.8 * height), at(width, 0.8 * height), 'slit', 'both')]
    case 'openWidth':
      return [
        line(at(width + thickness, height / 2), at(1.8 * width + thickness, 0.25 * height), 'slit', 'end'),
      ]
    case 'thickness':
      return [line(at(width + 0.1 * margin, 1.5), at(width + 0.1 * margin, thickness - 1.5), 'slit', 'both')]
    case 'contentsThickness':
      return [line(at(-0.1 * margin, 1.5), at(-0.1 * margin, thickness - 1.5), 'slit', 'both')]
    case 'wrap':
      return [run('slit', [at(width, 0), at(0.1 * width, 0), at(0, thickness), at(width, thickness)])]
    case 'boardThickness':
      return [line(at(width - 12, 0), at(width - 12, Math.max(3, thickness / 3)), 'slit', 'both')]
    case 'coilDiameter':
      return [
        line(at(coil / 4, thickness / 2 - coil / 3), at(coil / 4, thickness / 2 + coil / 3), 'slit', 'both'),
      ]
    case 'pageWidth':
      return [line(at(0, 0.62 * height), at(width + 0.3 * margin, 0.62 * height), 'slit', 'both')]
    case 'pageHeight':
      return [line(at(0.8 * width, 0.02 * height), at(0.8 * width, 0.98 * height), 'slit', 'both')]
    case 'grooveDepth':
      return [line(at(0, -0.4 * margin), at(0, 2), 'slit', 'end')]
    case 'cornerRadius':
      return [run('slit', [at(width - 3, -2), at(width + 2, 3)])]
  }
}

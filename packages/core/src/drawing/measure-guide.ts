import { mm } from '../length/length.js'
import { readingWords } from '../object/reading-words.js'
import type { ReadingKey } from '../object/reading.js'
import { line, type Drawing, type Mark, type Point } from './drawing.js'
import { at, box, circle, run, word } from './sketching.js'

/** A made-up book from the front, from its tail and lying open, with the tape where one reading is taken. */
export function drawMeasureGuide(reading: ReadingKey): Drawing {
  return {
    title: `Where the tape goes for ${readingWords[reading].name.toLowerCase()} (not to scale)`,
    from: [mm(-14), mm(-8)],
    width: mm(190),
    height: mm(124),
    marks: [...drawFront(), ...drawTail(), ...drawOpen(), ...tapes[reading]],
  }
}

function drawFront(): readonly Mark[] {
  return [box(0, 0, 56, 78, 'object', 'outside'), line(at(5, 0), at(5, 78), 'fold'), word(30, 36, 'front')]
}

function drawTail(): readonly Mark[] {
  return [
    box(84, 20, 80, 26, 'object', 'leaves'),
    box(84, 20, 80, 4, 'object', 'board'),
    box(84, 42, 80, 4, 'object', 'board'),
    ...[28, 33, 38].map(y => line(at(90, y), at(162, y), 'leaf')),
    word(126, 8, 'from the tail'),
  ]
}

function drawOpen(): readonly Mark[] {
  return [
    box(74, 70, 94, 26, 'object', 'outside'),
    line(at(117, 70), at(117, 96), 'fold'),
    line(at(125, 70), at(125, 96), 'fold'),
    word(95, 83, 'open'),
  ]
}

const tapes: Readonly<Record<ReadingKey, readonly Mark[]>> = {
  height: [tape(at(-6, 0), at(-6, 78))],
  width: [tape(at(0, 85), at(56, 85))],
  thickness: [tape(at(79, 20), at(79, 46))],
  wrap: [run('tape', [at(164, 17), at(81, 17), at(81, 49), at(164, 49)])],
  openWidth: [tape(at(74, 103), at(168, 103))],
  boardThickness: [
    line(at(169, 13), at(169, 20), 'tape', 'end'),
    line(at(169, 31), at(169, 24), 'tape', 'end'),
  ],
  coilDiameter: [circle(84, 33, 15, 'hidden'), tape(at(69, 33), at(99, 33))],
  pageWidth: [box(8, 4, 44, 70, 'hidden'), tape(at(8, 40), at(52, 40))],
  pageHeight: [box(8, 4, 44, 70, 'hidden'), tape(at(46, 4), at(46, 74))],
  contentsThickness: [tape(at(150, 24), at(150, 42))],
  grooveDepth: [line(at(92, 10), at(92, 22), 'tape', 'end')],
  cornerRadius: [
    {
      kind: 'path',
      start: at(44, 0),
      steps: [{ to: at(56, 12), radius: mm(12), clockwise: true }],
      closed: false,
      style: 'tape',
      fill: 'none',
    },
  ],
}

function tape(from: Point, to: Point): Mark {
  return line(from, to, 'tape', 'both')
}

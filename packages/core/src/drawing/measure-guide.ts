import { mm } from '../length/length.js'
import { readingWords } from '../object/reading-words.js'
import type { ReadingKey } from '../object/reading.js'
import { line, rectangle, text, type Drawing, type LineStyle, type Mark, type Point } from './drawing.js'

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
  return [
    rectangle(at(0, 0), mm(56), mm(78), { style: 'object', fill: 'outside' }),
    line(at(5, 0), at(5, 78), 'fold'),
    text(at(30, 36), 'front', { size: 'small' }),
  ]
}

function drawTail(): readonly Mark[] {
  return [
    rectangle(at(84, 20), mm(80), mm(26), { style: 'object', fill: 'leaves' }),
    rectangle(at(84, 20), mm(80), mm(4), { style: 'object', fill: 'board' }),
    rectangle(at(84, 42), mm(80), mm(4), { style: 'object', fill: 'board' }),
    ...[28, 33, 38].map(y => line(at(90, y), at(162, y), 'leaf')),
    text(at(126, 8), 'from the tail', { size: 'small' }),
  ]
}

function drawOpen(): readonly Mark[] {
  return [
    rectangle(at(74, 70), mm(94), mm(26), { style: 'object', fill: 'outside' }),
    line(at(117, 70), at(117, 96), 'fold'),
    line(at(125, 70), at(125, 96), 'fold'),
    text(at(95, 83), 'open', { size: 'small' }),
  ]
}

const tapes: Readonly<Record<ReadingKey, readonly Mark[]>> = {
  height: [tape(at(-6, 0), at(-6, 78))],
  width: [tape(at(0, 85), at(56, 85))],
  thickness: [tape(at(79, 20), at(79, 46))],
  wrap: [around([at(164, 17), at(81, 17), at(81, 49), at(164, 49)])],
  openWidth: [tape(at(74, 103), at(168, 103))],
  boardThickness: [
    line(at(169, 13), at(169, 20), 'tape', 'end'),
    line(at(169, 31), at(169, 24), 'tape', 'end'),
  ],
  coilDiameter: [circle(84, 33, 15), tape(at(69, 33), at(99, 33))],
  pageWidth: [dashed(8, 4, 44, 70), tape(at(8, 40), at(52, 40))],
  pageHeight: [dashed(8, 4, 44, 70), tape(at(46, 4), at(46, 74))],
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

function at(x: number, y: number): Point {
  return [mm(x), mm(y)]
}

function tape(from: Point, to: Point): Mark {
  return line(from, to, 'tape', 'both')
}

function around([start, ...rest]: readonly [Point, ...Point[]]): Mark {
  return { kind: 'path', start, steps: rest.map(to => ({ to })), closed: false, style: 'tape', fill: 'none' }
}

function circle(x: number, y: number, radius: number): Mark {
  const half = (to: Point) => ({ to, radius: mm(radius), clockwise: true })
  const left = at(x - radius, y)
  return {
    kind: 'path',
    start: left,
    steps: [half(at(x + radius, y)), half(left)],
    closed: true,
    ...thin('hidden'),
  }
}

function dashed(x: number, y: number, width: number, height: number): Mark {
  return rectangle(at(x, y), mm(width), mm(height), { style: 'hidden' })
}

function thin(style: LineStyle) {
  return { style, fill: 'none' } as const
}

import type { Drawing, LineStyle, Mark } from '@snowdrift/core'
import PDFDocument from 'pdfkit'
import { layerOf, type Layer } from '../outlines/layer.js'
import { placeOf, placesAlong, segmentsOf, type Place } from '../outlines/segments.js'
import { registerFonts, runsOf, type Weight } from './fonts.js'
import type { Paper } from './paper.js'

const perMm = 72 / 25.4

export interface WordsLook {
  /** In millimetres, from one line to the next about 1.3 times that. */
  readonly size: number
  readonly weight?: Weight
  readonly align?: 'start' | 'middle' | 'end'
  /** Upwards, a quarter turn. */
  readonly turned?: boolean
}

/** Pages of one size, written on in millimetres from their upper left corner. */
export interface Pages {
  readonly paper: Paper
  readonly turn: () => void
  readonly words: (text: string, at: Place, look: WordsLook) => void
  readonly widthOf: (text: string, look: Pick<WordsLook, 'size' | 'weight'>) => number
  readonly line: (from: Place, to: Place, look?: LineLook) => void
  readonly box: (at: Place, width: number, height: number, look?: LineLook) => void
  /** What `draw` draws is kept inside. */
  readonly within: (at: Place, width: number, height: number, draw: () => void) => void
  /** The drawing with its upper left corner there, so many times its size. */
  readonly drawing: (drawing: Drawing, at: Place, scale?: number) => void
  readonly finish: () => Promise<Uint8Array>
}

export interface LineLook {
  readonly width?: number
  readonly dash?: readonly number[]
  readonly grey?: number
}

const looks: Readonly<Record<Layer, LineLook>> = {
  cut: { width: 0.35 },
  fold: { width: 0.25, dash: [6, 1.5, 1, 1.5] },
  stitch: { width: 0.25, dash: [3, 1.5] },
  mark: { width: 0.2 },
}
const hidden: ReadonlySet<LineStyle> = new Set(['hidden', 'missing'])

/** A new document with its first page. Lines are told apart by their dashes: it is printed in black. */
export function openPages(paper: Paper, title: string, { margin = 0 } = {}): Pages {
  const doc = new PDFDocument({
    size: [paper.width * perMm, paper.height * perMm],
    margin,
    info: { Title: title, Producer: 'Snowdrift', Creator: 'Snowdrift' },
    lang: 'en',
    displayTitle: true,
  })
  registerFonts(doc)
  doc.scale(perMm)
  const chunks: Uint8Array[] = []
  const ended = new Promise<Uint8Array>((resolve, reject) => {
    doc.on('data', (chunk: Uint8Array) => chunks.push(chunk))
    doc.on('end', () => resolve(Buffer.concat(chunks)))
    doc.on('error', reject)
  })
  const stroke = ({ width = 0.25, dash, grey = 0 }: LineLook = {}) => {
    doc.lineWidth(width).strokeColor(grey === 0 ? '#000' : greyOf(grey))
    if (dash) doc.dash(dash[0] ?? 1, { space: dash[1] ?? 1 })
    else doc.undash()
    doc.stroke()
  }
  const widthOf = (text: string, { size, weight = 'plain' }: Pick<WordsLook, 'size' | 'weight'>) =>
    runsOf(text, weight).reduce(
      (sum, run) => sum + doc.font(run.font).fontSize(size).widthOfString(run.text),
      0,
    )
  const words = (text: string, [x, y]: Place, look: WordsLook) => {
    const { size, weight = 'plain', align = 'start', turned = false } = look
    const width = widthOf(text, look)
    const shift = align === 'middle' ? width / 2 : align === 'end' ? width : 0
    doc.save().fillColor('#000')
    if (turned) doc.rotate(-90, { origin: [x, y] })
    let left = x - shift
    for (const run of runsOf(text, weight)) {
      doc.font(run.font).fontSize(size).text(run.text, left, y, { lineBreak: false, baseline: 'alphabetic' })
      left += doc.widthOfString(run.text)
    }
    doc.restore()
  }
  const mark = (drawn: Mark, at: Place, scale: number) => {
    const place = ([x, y]: Place): Place => [at[0] + x * scale, at[1] + y * scale]
    if (drawn.kind === 'text') {
      const size = drawn.size === 'small' ? 3.2 : 4.2
      return words(drawn.text, place(placeOf(drawn.at)), {
        size,
        align: drawn.align,
        turned: drawn.turned ?? false,
      })
    }
    if (drawn.style === 'bare') return
    const segments = segmentsOf(drawn)
    const [first] = segments
    if (!first) return
    doc.moveTo(...place(first.from))
    for (const segment of segments)
      for (const to of segment.kind === 'arc' ? placesAlong(segment) : [segment.to]) doc.lineTo(...place(to))
    if (drawn.kind === 'path' && drawn.closed) doc.closePath()
    stroke(hidden.has(drawn.style) ? { width: 0.2, dash: [1, 1] } : looks[layerOf(drawn)])
    if (drawn.kind === 'line' && drawn.arrow) arrowHead(place(first.from), place(first.to))
  }
  const arrowHead = (from: Place, to: Place) => {
    const angle = Math.atan2(to[1] - from[1], to[0] - from[0])
    const side = (turn: number): Place => [
      to[0] - 3 * Math.cos(angle + turn),
      to[1] - 3 * Math.sin(angle + turn),
    ]
    doc
      .moveTo(...to)
      .lineTo(...side(0.35))
      .lineTo(...side(-0.35))
      .closePath()
      .fill('#000')
  }
  return {
    paper,
    turn: () => {
      doc.addPage()
      doc.scale(perMm)
    },
    words,
    widthOf,
    line: (from, to, look) => {
      doc.moveTo(...from).lineTo(...to)
      stroke(look)
    },
    box: ([x, y], width, height, look) => {
      doc.rect(x, y, width, height)
      stroke(look)
    },
    within: ([x, y], width, height, draw) => {
      doc.save().rect(x, y, width, height).clip()
      draw()
      doc.restore()
    },
    drawing: (drawing, at, scale = 1) => {
      const [left, top] = placeOf(drawing.from)
      for (const drawn of drawing.marks) mark(drawn, [at[0] - left * scale, at[1] - top * scale], scale)
    },
    finish: () => {
      doc.end()
      return ended
    },
  }
}

function greyOf(share: number): string {
  const level = Math.round(share * 255)
    .toString(16)
    .padStart(2, '0')
  return `#${level.repeat(3)}`
}

import type { Drawing } from '@snowdrift/core'
import PDFDocument from 'pdfkit'
import { placeOf, type Place } from '../outlines/segments.js'
import { registerFonts } from './fonts.js'
import { drawMark, stroke, widthOfWords, writeWords, type LineLook, type WordsLook } from './ink.js'
import type { Paper } from './paper.js'

const perMm = 72 / 25.4

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

/** A new document with its first page. */
export function openPages(paper: Paper, title: string): Pages {
  const sheet = new PDFDocument({
    size: [paper.width * perMm, paper.height * perMm],
    margin: 0,
    info: { Title: title, Producer: 'Snowdrift', Creator: 'Snowdrift' },
    lang: 'en',
    displayTitle: true,
  })
  const bytes = bytesOf(sheet)
  registerFonts(sheet)
  sheet.scale(perMm)
  return {
    paper,
    turn: () => {
      sheet.addPage()
      sheet.scale(perMm)
    },
    words: (text, at, look) => writeWords(sheet, text, at, look),
    widthOf: (text, look) => widthOfWords(sheet, text, look),
    line: (from, to, look) => {
      sheet.moveTo(...from).lineTo(...to)
      stroke(sheet, look)
    },
    box: ([x, y], width, height, look) => {
      sheet.rect(x, y, width, height)
      stroke(sheet, look)
    },
    within: ([x, y], width, height, draw) => {
      sheet.save().rect(x, y, width, height).clip()
      draw()
      sheet.restore()
    },
    drawing: (drawing, at, scale = 1) => {
      const [left, top] = placeOf(drawing.from)
      for (const mark of drawing.marks)
        drawMark(sheet, mark, [at[0] - left * scale, at[1] - top * scale], scale)
    },
    finish: () => {
      sheet.end()
      return bytes
    },
  }
}

/** Everything that a document writes, once it has ended. */
function bytesOf(sheet: InstanceType<typeof PDFDocument>): Promise<Uint8Array> {
  const chunks: Uint8Array[] = []
  return new Promise((resolve, reject) => {
    sheet.on('data', (chunk: Uint8Array) => chunks.push(chunk))
    sheet.on('end', () => resolve(Buffer.concat(chunks)))
    sheet.on('error', reject)
  })
}

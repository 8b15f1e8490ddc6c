import type { LineStyle, Mark, TextMark } from '@snowdrift/core'
import type PDFDocument from 'pdfkit'
import { layerOf, type Layer } from '../outlines/layer.js'
import { placeOf, placesAlong, segmentsOf, type Place } from '../outlines/segments.js'
import { runsOf, type Weight } from './fonts.js'

/** A document whose unit is the millimetre, y down. */
export type Sheet = InstanceType<typeof PDFDocument>

export interface LineLook {
  readonly width?: number
  readonly dash?: readonly number[]
  /** 0 is black, 1 white. */
  readonly grey?: number
}

export interface WordsLook {
  /** In millimetres, from one line to the next about 1.3 times that. */
  readonly size: number
  readonly weight?: Weight
  readonly align?: 'start' | 'middle' | 'end'
  /** Upwards, a quarter turn. */
  readonly turned?: boolean
}

/** Draws what has been traced. */
export function stroke(sheet: Sheet, { width = 0.25, dash, grey = 0 }: LineLook = {}): void {
  const level = Math.round(grey * 255)
  sheet.lineWidth(width).strokeColor([level, level, level])
  // the library takes a whole pattern, its types know of one length only
  if (dash) sheet.dash([...dash] as unknown as number, {})
  else sheet.undash()
  sheet.stroke()
}

/** How wide words come out, in millimetres. */
export function widthOfWords(
  sheet: Sheet,
  text: string,
  { size, weight = 'plain' }: Pick<WordsLook, 'size' | 'weight'>,
): number {
  return runsOf(text, weight).reduce(
    (sum, run) => sum + sheet.font(run.font).fontSize(size).widthOfString(run.text),
    0,
  )
}

/** One line of words, its foot at that place. */
export function writeWords(sheet: Sheet, text: string, [x, y]: Place, look: WordsLook): void {
  const { size, weight = 'plain', align = 'start', turned = false } = look
  const width = widthOfWords(sheet, text, look)
  sheet.save().fillColor('#000')
  if (turned) sheet.rotate(-90, { origin: [x, y] })
  let left = x - shares[align] * width
  for (const run of runsOf(text, weight)) {
    sheet.font(run.font).fontSize(size)
    sheet.text(run.text, left, y, { lineBreak: false, baseline: 'alphabetic' })
    left += sheet.widthOfString(run.text)
  }
  sheet.restore()
}

const shares = { start: 0, middle: 1 / 2, end: 1 } as const

/** Lines are told apart by their dashes: it is printed in black. */
const looks: Readonly<Record<Layer, LineLook>> = {
  cut: { width: 0.35 },
  fold: { width: 0.25, dash: [6, 1.5, 1, 1.5] },
  stitch: { width: 0.25, dash: [3, 1.5] },
  mark: { width: 0.2 },
}
const behind: ReadonlySet<LineStyle> = new Set(['hidden', 'missing'])

/** A mark of a drawing whose origin lies there, so many times its size; fills are left white. */
export function drawMark(sheet: Sheet, mark: Mark, at: Place, scale: number): void {
  const place = ([x, y]: Place): Place => [at[0] + x * scale, at[1] + y * scale]
  if (mark.kind === 'text') return writeWords(sheet, mark.text, place(placeOf(mark.at)), lookOf(mark))
  const segments = segmentsOf(mark)
  const [first] = segments
  if (!first || mark.style === 'bare') return
  sheet.moveTo(...place(first.from))
  for (const segment of segments)
    for (const to of segment.kind === 'arc' ? placesAlong(segment) : [segment.to]) sheet.lineTo(...place(to))
  if (mark.kind === 'path' && mark.closed) sheet.closePath()
  stroke(sheet, behind.has(mark.style) ? { width: 0.2, dash: [1, 1] } : looks[layerOf(mark)])
  if (mark.kind === 'line' && mark.arrow) drawArrowHead(sheet, place(first.from), place(first.to))
  if (mark.kind === 'line' && mark.arrow === 'both') drawArrowHead(sheet, place(first.to), place(first.from))
}

function lookOf({ size, align, turned = false }: TextMark): WordsLook {
  return { size: size === 'small' ? 3.2 : 4.2, align, turned }
}

const headLength = 2.2

function drawArrowHead(sheet: Sheet, from: Place, to: Place): void {
  const angle = Math.atan2(to[1] - from[1], to[0] - from[0])
  const side = (turn: number): Place => [
    to[0] - headLength * Math.cos(angle + turn),
    to[1] - headLength * Math.sin(angle + turn),
  ]
  sheet
    .moveTo(...to)
    .lineTo(...side(0.35))
    .lineTo(...side(-0.35))
    .closePath()
    .fill('#000')
}

import { toMm, type Drawing, type Mark, type TextMark } from '@snowdrift/core'
import { layerOf, layers, type Layer } from './layer.js'
import { placeOf, segmentsOf, type Segment } from './segments.js'

const looks: Readonly<Record<Layer, string>> = {
  cut: 'stroke="#000" stroke-width="0.25"',
  fold: 'stroke="#000" stroke-width="0.2" stroke-dasharray="6 1.5 1 1.5"',
  stitch: 'stroke="#000" stroke-width="0.2" stroke-dasharray="3 1.5"',
  mark: 'stroke="#000" stroke-width="0.15" stroke-dasharray="1 1"',
}

/** The drawing in millimetres at its true size, a group for each layer that has anything. */
export function writeSvg(drawing: Drawing): string {
  const [left, top] = placeOf(drawing.from)
  const [width, height] = [toMm(drawing.width), toMm(drawing.height)]
  const groups = layers.flatMap(layer => {
    const marks = drawing.marks.filter(mark => layerOf(mark) === layer)
    if (marks.length === 0) return []
    return [`<g id="${layer}" fill="none" ${looks[layer]}>`, ...marks.map(writeMark), '</g>']
  })
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="${[left, top, width, height].map(n).join(' ')}">`,
    `<title>${escapeXml(drawing.title)}</title>`,
    ...groups,
    '</svg>',
    '',
  ].join('\n')
}

function writeMark(mark: Mark): string {
  if (mark.kind === 'text') return writeText(mark)
  const [first, ...rest] = segmentsOf(mark)
  if (!first) return ''
  const path = [first, ...rest].map(writeSegment).join('')
  return `<path d="M${n(first.from[0])} ${n(first.from[1])}${path}${mark.kind === 'path' && mark.closed ? 'Z' : ''}"/>`
}

function writeSegment(segment: Segment): string {
  const to = `${n(segment.to[0])} ${n(segment.to[1])}`
  if (segment.kind === 'straight') return `L${to}`
  const radius = n(segment.radius)
  return `A${radius} ${radius} 0 0 ${segment.clockwise ? 1 : 0} ${to}`
}

const anchors = { start: 'start', middle: 'middle', end: 'end' } as const

function writeText({ at, text, align, size, turned }: TextMark): string {
  const [x, y] = placeOf(at).map(n)
  const turn = turned ? ` transform="rotate(-90 ${x} ${y})"` : ''
  return `<text x="${x}" y="${y}" font-family="sans-serif" font-size="${size === 'small' ? 3.5 : 5}" fill="#000" stroke="none" text-anchor="${anchors[align]}"${turn}>${escapeXml(text)}</text>`
}

/** Four decimals of a millimetre are finer than a tick. */
function n(millimetres: number): string {
  return String(Math.round(millimetres * 10_000) / 10_000)
}

/** Safe between tags and in quotes; what no XML may hold is left out. */
export function escapeXml(text: string): string {
  return text
    .replaceAll(/[^\t\n\r\u{20}-\u{d7ff}\u{e000}-\u{fffd}\u{10000}-\u{10ffff}]/gu, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
}

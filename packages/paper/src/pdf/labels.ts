import { absolute, zero, type Length } from '@snowdrift/core'
import type { Label, Lookalike } from '../lists/label.js'
import type { LabelGrid } from './label-grid.js'
import { fit } from './fit-words.js'
import { openPages, type Pages } from './sheet-of-paper.js'

export interface LabelsOnPaper {
  readonly title: string
  readonly grid: LabelGrid
  readonly say: (length: Length) => string
}

/** Labels to pin on: name, sizes, count, cloth, an arrow to the top, which side is which, and a box to write in. */
export async function writeLabels(
  labels: readonly Label[],
  { title, grid, say }: LabelsOnPaper,
): Promise<Uint8Array> {
  const pages = openPages(grid.paper, title)
  const onPage = grid.columns * grid.rows
  labels.forEach((label, index) => {
    if (index > 0 && index % onPage === 0) pages.turn()
    const place = index % onPage
    const x = grid.from[0] + (place % grid.columns) * grid.pitch[0]
    const y = grid.from[1] + Math.floor(place / grid.columns) * grid.pitch[1]
    pages.within([x, y], ...grid.size, () => writeLabel(pages, label, { x, y, size: grid.size, say }))
  })
  return pages.finish()
}

interface Spot {
  readonly x: number
  readonly y: number
  readonly size: readonly [width: number, height: number]
  readonly say: (length: Length) => string
}

function writeLabel(pages: Pages, label: Label, { x, y, size: [width, height], say }: Spot): void {
  const margin = 3
  const unit = Math.min(height / 34, width / 62)
  const [left, right] = [x + margin, x + width - margin]
  const room = right - left - 9 * unit
  const row = (words: string, down: number, size: number, weight: 'plain' | 'bold' = 'plain') => {
    const look = { size: size * unit, weight }
    pages.words(fit(pages, words, room, look), [left, y + down * unit], look)
  }
  const sizes = ({ width: wide, height: high }: { readonly width: Length; readonly height: Length }) =>
    `${say(wide)} × ${say(high)}`
  row(`${label.name}${label.count > 1 ? `, ${label.count} times` : ''}`, 7, 5, 'bold')
  row(sizes(label), 13.5, 5.4, 'bold')
  row([...(label.trimTo ? [`trim to ${sizes(label.trimTo)}`] : []), label.cloth].join('; '), 18.5, 3.4)
  const [first] = label.mixedUpWith
  if (first) row(`Not ${first.name}: that is ${differs(first, say)}`, 22.7, 3.2, 'bold')
  row(label.cover, 26.6, 3)
  // boxes to tick and to write in
  const low = y + 31 * unit
  box(pages, [left, low], unit, 'outside')
  box(pages, [left + 17 * unit, low], unit, 'inside')
  pages.line([left + 33 * unit, low], [right - 8 * unit, low], { width: 0.15 })
  // which end is the top
  const arrow = right - 2 * unit
  pages.line([arrow, y + 27 * unit], [arrow, y + 8 * unit], { width: 0.4 })
  pages.line([arrow - 1.6 * unit, y + 11 * unit], [arrow, y + 8 * unit], { width: 0.4 })
  pages.line([arrow + 1.6 * unit, y + 11 * unit], [arrow, y + 8 * unit], { width: 0.4 })
  pages.words('top', [arrow, y + 6.5 * unit], { size: 3 * unit, align: 'middle' })
}

function box(pages: Pages, [x, y]: readonly [number, number], unit: number, words: string): void {
  pages.box([x, y - 2.6 * unit], 2.6 * unit, 2.6 * unit, { width: 0.2 })
  pages.words(words, [x + 3.6 * unit, y], { size: 3 * unit })
}

/** “⅜ in wider, ¼ in less high”. */
export function differs({ wider, higher }: Lookalike, say: (length: Length) => string): string {
  const ways = [
    ...(wider === zero ? [] : [`${say(absolute(wider))} ${wider > zero ? 'wider' : 'narrower'}`]),
    ...(higher === zero ? [] : [`${say(absolute(higher))} ${higher > zero ? 'higher' : 'less high'}`]),
  ]
  return ways.join(', ')
}

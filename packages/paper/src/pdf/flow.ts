import { toMm, type Drawing } from '@snowdrift/core'
import { wrap } from './fit-words.js'
import type { Pages } from './sheet-of-paper.js'

const margin = 15
const body = 3.5
const line = 4.8

/** Words, tables and pictures one below the other, going on on the next page where one is full. */
export interface Flow {
  readonly title: (words: string) => void
  /** Kept with so many millimetres of what follows, so that it is never the last of a page. */
  readonly heading: (words: string, keep?: number) => void
  readonly paragraph: (words: string) => void
  /** Lines that begin with a box to tick. */
  readonly boxes: (lines: readonly { readonly words: string; readonly beneath?: string }[]) => void
  /** Shares of the width say how wide the columns are. */
  readonly table: (
    heads: readonly string[],
    rows: readonly (readonly string[])[],
    shares: readonly number[],
  ) => void
  /** As wide as the page, but no higher than that; not at true size. */
  readonly picture: (drawing: Drawing, mostHigh: number) => void
  /** Lines to write on. */
  readonly blanks: (labels: readonly string[]) => void
}

export function openFlow(pages: Pages): Flow {
  const room = pages.paper.width - 2 * margin
  const end = pages.paper.height - margin
  let y = margin
  /** Makes sure that so much fits below, and goes down by `by`. */
  const down = (by: number, needs = by) => {
    if (y + needs > end) {
      pages.turn()
      y = margin
    }
    y += by
  }
  const lines = (words: string, x: number, width: number, size = body) => {
    for (const text of wrap(pages, words, width, { size })) {
      down(line)
      pages.words(text, [x, y], { size })
    }
  }
  return {
    title: words => {
      for (const text of wrap(pages, words, room, { size: 7, weight: 'bold' })) {
        down(9)
        pages.words(text, [margin, y], { size: 7, weight: 'bold' })
      }
    },
    heading: (words, keep = 2 * line) => {
      down(9.5, 9.5 + keep)
      pages.words(words, [margin, y], { size: 4.6, weight: 'bold' })
      y += 0.8
    },
    paragraph: words => lines(words, margin, room),
    boxes: entries => {
      for (const { words, beneath } of entries) {
        down(1.2, 1.2 + line * 2)
        pages.box([margin, y + line - 2.8], 2.8, 2.8, { width: 0.25 })
        lines(words, margin + 5, room - 5)
        if (beneath) lines(beneath, margin + 5, room - 5, 3)
      }
    },
    table: (heads, rows, shares) => {
      const whole = shares.reduce((sum, share) => sum + share, 0)
      const widths = shares.map(share => (share / whole) * room)
      const row = (cells: readonly string[], weight: 'plain' | 'bold') => {
        const look = { size: 3.3, weight }
        const wrapped = cells.map((cell, index) => wrap(pages, cell, (widths[index] ?? 20) - 2, look))
        const high = Math.max(1, ...wrapped.map(cell => cell.length)) * 4.4 + 1
        down(high)
        let x = margin
        wrapped.forEach((cell, index) => {
          cell.forEach((text, at) => pages.words(text, [x, y - high + 4.2 + at * 4.4], look))
          x += widths[index] ?? 0
        })
        pages.line([margin, y + 0.4], [margin + room, y + 0.4], { width: 0.1 })
      }
      row(heads, 'bold')
      for (const cells of rows) row(cells, 'plain')
    },
    picture: (drawing, mostHigh) => {
      const [wide, high] = [toMm(drawing.width), toMm(drawing.height)]
      const scale = Math.min(room / wide, mostHigh / high)
      down(2, 2 + high * scale)
      pages.drawing(drawing, [margin + (room - wide * scale) / 2, y], scale)
      y += high * scale
    },
    blanks: labels => {
      for (const label of labels) {
        down(8)
        pages.words(label, [margin, y], { size: body })
        pages.line([margin + 55, y + 0.6], [margin + room, y + 0.6], { width: 0.15 })
      }
    },
  }
}

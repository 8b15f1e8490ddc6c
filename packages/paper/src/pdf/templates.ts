import { toMm, type Drawing, type Length, type Template } from '@snowdrift/core'
import { overlap, tile, unprinted, type Tile, type Tiling } from './tiles.js'
import { fit } from './fit-words.js'
import type { Paper } from './paper.js'
import { openPages, type Pages } from './sheet-of-paper.js'

export interface TemplatesOnPaper {
  readonly title: string
  /** What is drawn beside the pieces. */
  readonly aids?: readonly Drawing[]
  readonly paper: Paper
  readonly say: (length: Length) => string
  /** Plain rectangles, too; else their numbers stand on the first page. */
  readonly withPlain?: boolean
}

/** Templates at true size over as many sheets as it takes: squares to check the scale and a map of the sheets first. */
export async function writeTemplates(
  templates: readonly Template[],
  { title, aids = [], paper, say, withPlain = false }: TemplatesOnPaper,
): Promise<Uint8Array> {
  const pages = openPages(paper, title)
  const drawn = [
    ...alikeTogether(templates.filter(({ isPlain }) => withPlain || !isPlain)),
    ...aids.map(drawing => ({ drawing, words: drawing.title })),
  ]
  const tilings = drawn.map(({ drawing }) => tile(toMm(drawing.width), toMm(drawing.height), paper))
  writeFirstPage(pages, {
    title,
    say,
    drawn,
    tilings,
    plain: withPlain ? [] : templates.filter(({ isPlain }) => isPlain),
  })
  drawn.forEach((template, index) => {
    const tiling = tilings[index]
    if (tiling) for (const part of tiling.tiles) writeTile(pages, template, tiling, part)
  })
  return pages.finish()
}

/** Pieces that are cut alike share their sheets. */
function alikeTogether(templates: readonly Template[]): readonly Shared[] {
  const groups = new Map<string, Template[]>()
  for (const template of templates) {
    const lines = linesOf(template.drawing)
    groups.set(lines, [...(groups.get(lines) ?? []), template])
  }
  return [...groups.values()].flatMap(group => {
    const [first, ...others] = group
    if (!first) return []
    const words = [first, ...others].map(cutWords).join('; ')
    return [{ drawing: renamed(first.drawing, words), words }]
  })
}

/** A drawing’s size and lines, whatever their order, to a tenth of a millimetre: the same for two that are cut alike. */
function linesOf({ width, height, marks }: Drawing): string {
  const lines = marks.filter(({ kind }) => kind !== 'text').map(mark => JSON.stringify(mark, roughly))
  return [width, height, ...lines.toSorted()].join('\n')
}

function roughly(_key: string, value: unknown): unknown {
  return typeof value === 'number' ? Math.round(value / 32) : value
}

/** What is drawn once, and what of it is cut. */
interface Shared {
  readonly drawing: Template['drawing']
  readonly words: string
}

/** Its first words are its name. */
function renamed(drawing: Template['drawing'], words: string): Template['drawing'] {
  const name = drawing.marks.find(({ kind }) => kind === 'text')
  return {
    ...drawing,
    marks: drawing.marks.map(mark =>
      mark === name && mark.kind === 'text' ? { ...mark, text: words } : mark,
    ),
  }
}

function cutWords({ drawing, piece }: Template): string {
  return `${drawing.title}, cut ${piece.count}`
}

interface FirstPage {
  readonly title: string
  readonly say: (length: Length) => string
  readonly drawn: readonly Shared[]
  readonly tilings: readonly Tiling[]
  readonly plain: readonly Template[]
}

function writeFirstPage(pages: Pages, { title, say, drawn, tilings, plain }: FirstPage): void {
  const [left, room] = [15, pages.paper.width - 30]
  const look = { size: 3.6 }
  pages.words(fit(pages, title, room, { size: 6, weight: 'bold' }), [left, 20], { size: 6, weight: 'bold' })
  pages.words(
    'Templates at true size. Print at 100 %, not fitted to the page; then measure both squares.',
    [left, 28],
    look,
  )
  testSquares(pages, [left, 33])
  let y = 148
  const next = (down: number) => {
    y += down
    if (y > pages.paper.height - 15) {
      pages.turn()
      y = 20
    }
  }
  if (drawn.length > 0) pages.words('Sheets', [left, y], { size: 4.4, weight: 'bold' })
  drawn.forEach((shared, index) => {
    const tiling = tilings[index]
    if (!tiling) return
    next(7)
    const { columns, rows } = tiling
    const sheets = columns * rows
    const words = `${shared.words}: ${sheets === 1 ? 'one sheet' : `${sheets} sheets, ${columns} across and ${rows} down`}`
    pages.words(fit(pages, words, room - 40, look), [left, y], look)
    map(pages, tiling, [left + room - 30, y - 4])
    if (rows > 1) next((rows - 1) * 3.2)
  })
  if (plain.length === 0) return
  next(12)
  pages.words('Plain rectangles: measure them on the cloth', [left, y], { size: 4.4, weight: 'bold' })
  for (const { drawing, piece } of plain) {
    next(6)
    const words = `${cutWords({ drawing, piece, isPlain: true })}: ${say(piece.width.cut)} × ${say(piece.height.cut)}`
    pages.words(fit(pages, words, room, look), [left, y], look)
  }
}

/** Of one corner: 100 mm inside, 4 in outside. */
function testSquares(pages: Pages, [x, y]: readonly [number, number]): void {
  pages.box([x, y], 100, 100, { width: 0.2 })
  pages.box([x, y], 101.6, 101.6, { width: 0.2 })
  pages.words('inner square: 100 mm', [x + 50, y + 50], { size: 4, align: 'middle' })
  pages.words('outer square: 4 in', [x + 50, y + 57], { size: 4, align: 'middle' })
}

/** How the sheets lie: a small one each. */
function map(pages: Pages, { columns, tiles }: Tiling, [x, y]: readonly [number, number]): void {
  const wide = Math.min(6, 28 / columns)
  for (const { column, row, name } of tiles) {
    pages.box([x + column * wide, y + row * 3.2], wide, 3.2, { width: 0.15 })
    if (wide > 4)
      pages.words(name, [x + (column + 0.5) * wide, y + row * 3.2 + 2.4], { size: 2.2, align: 'middle' })
  }
}

/** One sheet: the drawing as far as it shows, what overlaps greyed off by a line, where the next one joins. */
function writeTile(pages: Pages, { drawing, words: cut }: Shared, tiling: Tiling, part: Tile): void {
  pages.turn()
  const [width, height] = tiling.window
  const at = [unprinted - part.from[0], unprinted - part.from[1]] as const
  pages.within([unprinted - 0.5, unprinted - 0.5], width + 1, height + 1, () => pages.drawing(drawing, at))
  const faint = { width: 0.15, grey: 0.55, dash: [2, 2] }
  const [right, low] = [unprinted + width, unprinted + height]
  if (part.column > 0)
    joint(pages, [unprinted + overlap / 2, unprinted], [unprinted + overlap / 2, low], faint)
  if (part.column < tiling.columns - 1)
    joint(pages, [right - overlap / 2, unprinted], [right - overlap / 2, low], faint)
  if (part.row > 0)
    joint(pages, [unprinted, unprinted + overlap / 2], [right, unprinted + overlap / 2], faint)
  if (part.row < tiling.rows - 1)
    joint(pages, [unprinted, low - overlap / 2], [right, low - overlap / 2], faint)
  const words = `${cut}${tiling.tiles.length > 1 ? `: sheet ${part.name} of ${tiling.tiles.length}` : ''}`
  pages.words(fit(pages, words, width - 20, { size: 3 }), [unprinted, pages.paper.height - 4], { size: 3 })
}

/** Where two sheets are laid over each other: a line, and a cross at its middle that must meet. */
function joint(
  pages: Pages,
  from: readonly [number, number],
  to: readonly [number, number],
  look: { readonly width: number; readonly grey: number; readonly dash: readonly number[] },
): void {
  pages.line(from, to, look)
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2]
  pages.line([x - 2.5, y - 2.5], [x + 2.5, y + 2.5], { width: 0.2 })
  pages.line([x - 2.5, y + 2.5], [x + 2.5, y - 2.5], { width: 0.2 })
}

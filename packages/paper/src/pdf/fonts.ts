import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const family = '@fontsource/source-sans-3'
const ranges = require(`${family}/unicode.json`) as Readonly<Record<string, string>>

/** Looked through in this order; the first that has a letter writes it. */
const subsets = [
  'latin',
  'latin-ext',
  'vietnamese',
  'greek',
  'greek-ext',
  'cyrillic',
  'cyrillic-ext',
] as const
type Subset = (typeof subsets)[number]

export const weights = { plain: 400, bold: 600 } as const
export type Weight = keyof typeof weights

const rangesOf: Readonly<Record<Subset, readonly (readonly [from: number, to: number])[]>> =
  Object.fromEntries(subsets.map(subset => [subset, parseRanges(ranges[subset] ?? '')])) as never

function parseRanges(words: string): readonly (readonly [number, number])[] {
  return words.split(',').flatMap(range => {
    const [from = '', to = from] = range.trim().replace('U+', '').split('-')
    return from === '' ? [] : [[parseInt(from, 16), parseInt(to, 16)] as const]
  })
}

/** Letters that stand next to each other in one file of the font. */
export interface Run {
  readonly font: string
  readonly text: string
}

const fractions: Readonly<Record<string, string>> = {
  '⅛': '1⁄8',
  '⅜': '3⁄8',
  '⅝': '5⁄8',
  '⅞': '7⁄8',
}

/**
 * The words in runs of one font file each, spaces between them kept. Eighths are written with the fraction slash, which the font sets as fractions; a
 * letter that no file has becomes a question mark.
 */
export function runsOf(words: string, weight: Weight): readonly Run[] {
  const runs: { font: string; text: string }[] = []
  for (const letter of words.replaceAll(/[⅛⅜⅝⅞]/g, found => fractions[found] ?? found)) {
    const code = letter.codePointAt(0) ?? 0
    const subset = subsets.find(name => rangesOf[name].some(([from, to]) => code >= from && code <= to))
    const font = `${subset ?? 'latin'}-${weight}`
    const last = runs.at(-1)
    const text = subset ? letter : '?'
    if (last?.font === font) last.text += text
    else runs.push({ font, text })
  }
  return runs
}

/** Makes the font's files known to a document; each is put in only where it is used. */
export function registerFonts(doc: { registerFont: (name: string, path: string) => unknown }): void {
  for (const subset of subsets)
    for (const [weight, number] of Object.entries(weights))
      doc.registerFont(
        `${subset}-${weight}`,
        require.resolve(`${family}/files/source-sans-3-${subset}-${number}-normal.woff`),
      )
}

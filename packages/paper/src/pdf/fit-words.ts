import type { WordsLook } from './ink.js'
import type { Pages } from './sheet-of-paper.js'

type Look = Pick<WordsLook, 'size' | 'weight'>

/** The words as far as there is room, an ellipsis for the rest. */
export function fit(pages: Pick<Pages, 'widthOf'>, words: string, room: number, look: Look): string {
  if (pages.widthOf(words, look) <= room) return words
  const letters = Array.from(words)
  let [fits, fails] = [0, letters.length]
  while (fails - fits > 1) {
    const middle = Math.floor((fits + fails) / 2)
    if (pages.widthOf(`${letters.slice(0, middle).join('')}…`, look) <= room) fits = middle
    else fails = middle
  }
  return `${letters.slice(0, fits).join('').trimEnd()}…`
}

/** The words in lines no longer than there is room; a word longer than that is cut short. */
export function wrap(
  pages: Pick<Pages, 'widthOf'>,
  words: string,
  room: number,
  look: Look,
): readonly string[] {
  const lines: string[] = []
  for (const word of words.split(/\s+/).filter(part => part !== '')) {
    const last = lines.at(-1)
    const longer = last === undefined ? word : `${last} ${word}`
    if (last !== undefined && pages.widthOf(longer, look) <= room) lines[lines.length - 1] = longer
    else lines.push(fit(pages, word, room, look))
  }
  return lines
}

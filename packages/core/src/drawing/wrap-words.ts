/** Words in lines of at most so many letters; a word that is longer has a line of its own. */
export function wrapWords(words: string, most: number): readonly string[] {
  return words.split(' ').reduce<readonly string[]>((lines, word) => {
    const last = lines.at(-1)
    const longer = last === undefined ? word : `${last} ${word}`
    return longer.length <= most || last === undefined ? [...lines.slice(0, -1), longer] : [...lines, word]
  }, [])
}

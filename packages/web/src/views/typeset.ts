const fractionSlash = '\u2044'
const noBreakSpace = '\u00a0'

/** Sets plain fractions in words that also go to the command line: 8 3/4 becomes 8 ¾. What is quoted stays as typed. */
export function typeset(words: string): string {
  return words.replace(
    /“[^”]*”|(?:(\d+) )?(\d+)\/(\d+)/g,
    (found: string, whole?: string, top?: string, bottom?: string) => {
      if (top === undefined || bottom === undefined) return found
      return (whole === undefined ? '' : whole + noBreakSpace) + top + fractionSlash + bottom
    },
  )
}

import type { LengthProblem } from './parse.js'

const example = 'Write it as 8 3/4, 8.75, 22.2 cm or 222 mm.'

/** What could not be read, what was understood of it, and what would do. */
export function describeLengthProblem({ code, text, understood, rest, rather = '' }: LengthProblem): string {
  switch (code) {
    case 'empty':
      return `A length is missing here. ${example}`
    case 'negative':
      return `“${text}” is less than nothing. A length starts at 0.`
    case 'bad-fraction':
      return `“${understood}” is not a fraction that a tape has: the upper number must be smaller than the lower. ${example}`
    case 'top-heavy':
      return `“${understood}” is more than a whole: did you mean ${rather}?`
    case 'unknown-unit':
      return `Read ${understood} in “${text}”, but “${rest}” is no unit of length here. Use in, cm or mm.`
    case 'too-large':
      return `“${text}” is far longer than anything a cover is made for.`
    case 'no-number':
      return `No number found in “${text}”. ${example}`
    case 'not-understood':
      return understood
        ? `Read ${understood} in “${text}”, but not “${rest}”. ${example}`
        : `“${text}” is not a length. ${example}`
  }
}

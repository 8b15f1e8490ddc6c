import { longest, type Length } from '../../length/length.js'
import type { Finding } from '../finding.js'
import type { FindingData } from '../finding.js'
import type { Saying } from '../say.js'
import { chanceFindingWords } from './chance-words.js'
import { extraFindingWords } from './extra-words.js'
import { fitFindingWords } from './fit-words.js'
import { makeFindingWords } from './make-words.js'
import { materialFindingWords } from './material-words.js'
import { readingFindingWords } from './reading-words.js'
import type { FindingText, WordsOf } from './words-of.js'

/** The words of a finding in the maker's units. Two lengths that differ never read alike: the smaller is a hair under. */
export function describeFinding(finding: Finding, say: Saying): FindingText {
  const describe = words[finding.code] as (data: Finding['data'], say: Saying) => FindingText
  const { thin, amounts } = say
  const largest = new Map<string, Length>()
  describe(
    finding.data,
    Object.assign(
      (length: Length) => {
        const text = say(length)
        largest.set(text, longest(length, largest.get(text) ?? length))
        return text
      },
      { thin, amounts },
    ),
  )
  const sayApart = (length: Length) => {
    const text = say(length)
    return length < (largest.get(text) ?? length) ? `a hair under ${text}` : text
  }
  const { message, hint } = describe(finding.data, Object.assign(sayApart, { thin, amounts }))
  return { message: amounts(message), hint: amounts(hint) }
}

const words: WordsOf<FindingData> = {
  ...readingFindingWords,
  ...fitFindingWords,
  ...chanceFindingWords,
  ...makeFindingWords,
  ...extraFindingWords,
  ...materialFindingWords,
}

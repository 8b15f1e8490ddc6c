import type { Finding } from '../finding.js'
import type { FindingData } from '../finding.js'
import type { SayLength } from '../say.js'
import { chanceFindingWords } from './chance-words.js'
import { extraFindingWords } from './extra-words.js'
import { fitFindingWords } from './fit-words.js'
import { makeFindingWords } from './make-words.js'
import { materialFindingWords } from './material-words.js'
import { readingFindingWords } from './reading-words.js'
import type { FindingText, WordsOf } from './words-of.js'

/** The words of a finding in the maker's units. */
export function describeFinding(finding: Finding, say: SayLength): FindingText {
  const describe = words[finding.code] as (data: Finding['data'], say: SayLength) => FindingText
  return describe(finding.data, say)
}

const words: WordsOf<FindingData> = {
  ...readingFindingWords,
  ...fitFindingWords,
  ...chanceFindingWords,
  ...makeFindingWords,
  ...extraFindingWords,
  ...materialFindingWords,
}

import { readingWords } from '../../object/reading-words.js'
import type { ChanceFindings } from '../data/chance-findings.js'
import type { WordsOf } from './words-of.js'

export const chanceFindingWords: WordsOf<ChanceFindings> = {
  'no-fit': ({ unmeasured }) =>
    unmeasured
      ? {
          message: 'Nobody measured what the case is to hold, so there is no chance of fitting to reckon.',
          hint: 'Press all inserts lightly, measure their thickness at spine and fore-edge, and enter the larger.',
        }
      : {
          message: 'Made this way it is fitted on the thing itself: there is no fit that could fail.',
          hint: 'Choose a cover that slips on, a pouch, a case or a zipped cover to see its chance.',
        },
  'reading-says-nothing': ({ reading, length, uncertainty }, say) => ({
    message: `The ${readingWords[reading].name.toLowerCase()} reads ${say(length)}, but its readings leave it open by ${say(uncertainty)}: more than all of it.`,
    hint: 'One of the readings slipped. Take it out, or measure again.',
  }),
}

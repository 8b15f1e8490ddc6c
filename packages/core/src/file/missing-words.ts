import { readingWords } from '../object/reading-words.js'
import type { ReadingKey } from '../object/reading.js'
import type { ReadingChoice } from '../object/required.js'
import type { Issue } from './issue.js'

/** “the wrap, or the open width, or width and thickness”. */
export function describeChoice(choice: ReadingChoice): string {
  return choice.map(way => way.map(nameOf).join(' and ')).join(', or ')
}

/** The issue of a needed reading that nobody took. */
export function describeMissing(choice: ReadingChoice, place = 'object'): Issue {
  const only = choice.length === 1 && choice[0]?.length === 1 ? choice[0][0] : undefined
  return {
    path: only ? `${place}.readings.${only}` : `${place}.readings`,
    message: `Still to measure: ${describeChoice(choice)}.`,
  }
}

function nameOf(key: ReadingKey): string {
  return readingWords[key].name.toLowerCase()
}

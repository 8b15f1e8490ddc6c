import type { Length } from '../length/length.js'
import { readingWords } from '../object/reading-words.js'
import type { ReadingKey } from '../object/reading.js'
import type { SayLength } from './say.js'

/** A change that mends a finding, as data: the screen offers it as a button, `applyRepair` makes it. */
export type Repair =
  | { readonly kind: 'set-option'; readonly option: string; readonly name: string; readonly length: Length }
  /** `says` is what the button says. */
  | {
      readonly kind: 'choose-option'
      readonly option: string
      readonly choice: string
      readonly says: string
    }
  /** It is planned as the reckoning is now; what was before is not spoken of again. */
  | { readonly kind: 'accept-mended' }
  | { readonly kind: 'swap-readings'; readonly first: ReadingKey; readonly second: ReadingKey }
  | { readonly kind: 'measure'; readonly reading: ReadingKey }

/** What the button says. */
export function describeRepair(repair: Repair, say: SayLength): string {
  switch (repair.kind) {
    case 'set-option':
      return `Make the ${repair.name} ${say(repair.length)}`
    case 'choose-option':
      return repair.says
    case 'accept-mended':
      return 'Good: cut it as it is now'
    case 'swap-readings':
      return `Swap ${nameOf(repair.first)} and ${nameOf(repair.second)}`
    case 'measure':
      return `Measure the ${nameOf(repair.reading)}`
  }
}

function nameOf(reading: ReadingKey): string {
  return readingWords[reading].name.toLowerCase()
}

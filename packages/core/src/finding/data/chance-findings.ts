import type { Length } from '../../length/length.js'
import type { ReadingKey } from '../../object/reading.js'
import type { SeverityOf } from '../severity.js'

/** What stands in the way of reckoning a chance. */
export interface ChanceFindings {
  /** `unmeasured`: it would hold something that nobody measured. */
  'no-fit': { readonly unmeasured: boolean }
  'reading-says-nothing': {
    readonly reading: ReadingKey
    readonly length: Length
    readonly uncertainty: Length
  }
}

export const chanceSeverities: SeverityOf<ChanceFindings> = {
  'no-fit': 'error',
  'reading-says-nothing': 'error',
}

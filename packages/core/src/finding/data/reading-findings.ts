import type { Length } from '../../length/length.js'
import type { ReadingKey } from '../../object/reading.js'
import type { Slip } from '../../object/slips.js'
import type { SeverityOf } from '../severity.js'

/** What readings say about each other. */
export interface ReadingFindings {
  'wrap-impossible': { readonly wrap: Length; readonly boards: Length }
  'wrap-disagrees': { readonly wrap: Length; readonly expected: Length; readonly slip?: Slip }
  'open-closed-differ': { readonly open: Length; readonly wrap: Length }
  'open-only': { readonly thickness: Length }
  'sides-swapped': { readonly width: Length; readonly height: Length }
  'readings-spread': {
    readonly reading: ReadingKey
    readonly smallest: Length
    readonly largest: Length
    readonly slip?: Slip
  }
  'board-assumed': { readonly assumed: Length }
  'thickness-unknown': { readonly assumed: Length }
  'thickness-assumed': { readonly assumed: Length }
  'width-unknown': { readonly width: Length }
}

export const readingSeverities: SeverityOf<ReadingFindings> = {
  'wrap-impossible': 'error',
  'wrap-disagrees': 'warning',
  'open-closed-differ': 'warning',
  'open-only': 'advice',
  'sides-swapped': 'advice',
  'readings-spread': 'warning',
  'board-assumed': 'advice',
  'thickness-unknown': 'advice',
  'thickness-assumed': 'advice',
  'width-unknown': 'advice',
}

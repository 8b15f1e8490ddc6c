import type { Draft } from '../../make/draft.js'
import type { ExtraWork } from '../contract.js'
import { hold } from '../put-on.js'

/** Caught at the top of the spine. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  return [
    hold(work, {
      id: 'hold-bookmark',
      what: 'the bookmark',
      where: 'at the top, beside the spine’s middle',
      notions: work.ownNotions.map(({ id }) => id),
      lengthMm: 12,
    }),
  ]
}

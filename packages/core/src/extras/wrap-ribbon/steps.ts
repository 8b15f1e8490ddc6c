import type { Draft } from '../../make/draft.js'
import type { ExtraWork } from '../contract.js'
import { hold } from '../put-on.js'

/** Caught at the middle of the end that wraps over. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  return [
    hold(work, {
      id: 'hold-wrap-ribbon',
      what: 'the wrap-round ribbon',
      notions: work.ownNotions.map(({ id }) => id),
      lengthMm: 25,
    }),
  ]
}

import type { Draft } from '../../make/draft.js'
import { rates } from '../../make/minutes.js'
import type { ExtraWork } from '../contract.js'
import { hold } from '../put-on.js'

/** Measured over the closed thing, held at top and bottom. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const [elastic] = work.ownNotions
  if (!elastic) return []
  const held = hold(work, {
    id: `hold-${elastic.id}`,
    what: 'the elastic band',
    notions: [elastic.id],
    lengthMm: 25,
  })
  return [
    {
      id: `measure-${elastic.id}`,
      kind: 'measure',
      place: 'table',
      minutes: rates.tryingIn + rates.reading,
      name: 'Measure the elastic on the thing',
      does: 'Round the closed thing from top to bottom and back; a twelfth less, so that it holds; the seams beside it.',
      why: 'Each elastic gives differently: try this one.',
      pieces: [work.carrier],
      on: { piece: work.carrier, stage: 'shape' },
      measures: [{ notion: elastic.id, side: 'length' }],
    },
    { ...held, needs: [`measure-${elastic.id}`] },
  ]
}

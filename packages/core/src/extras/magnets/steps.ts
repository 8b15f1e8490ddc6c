import type { Draft } from '../../make/draft.js'
import { rates } from '../../make/minutes.js'
import type { ExtraWork } from '../contract.js'
import { sayPlace } from '../put-on.js'

/** In small pouches behind the outer, before it is joined. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const { carrier, ownNotions } = work
  return [
    {
      id: 'set-magnets',
      kind: 'set',
      place: 'hand',
      minutes: 2 * rates.button,
      name: 'Set the magnets',
      does: `Each in a scrap stitched or glued to the wrong side, ${sayPlace(work)}. Hold them together once first and mark which faces attract.`,
      why: 'Between the layers they cannot fall out.',
      pieces: [carrier],
      notions: ownNotions.map(({ id }) => id),
      face: 'wrong side',
      tools: ['needle', 'thread'],
      cautions: ['magnets', 'needles'],
      check: {
        ask: 'Do they attract with the cover closed?',
        ifNot: 'Turn one over before the scrap is closed.',
        cost: 'cheap',
      },
      on: { piece: carrier, stage: 'dress' },
    },
  ]
}

import type { Draft } from '../../make/draft.js'
import { rates } from '../../make/minutes.js'
import { those } from '../../make/bench.js'
import type { ExtraWork } from '../contract.js'

/** Cut from the mouth of one wall, through outer and lining alike. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const { notes, say, carrier } = work
  const deep = notes[0] ? `${say(notes[0].length)} ` : ''
  return [
    {
      id: 'cut-thumb-scoop',
      kind: 'trim',
      place: 'cutting',
      minutes: rates.marking + 2 * rates.curve,
      name: 'Cut the thumb scoop',
      does: `In the middle of the front’s mouth, ${deep}deep, from one template in outer and lining.`,
      why: 'Cut before the mouth is sewn, both curves match.',
      pieces: those(work, carrier, 'lining'),
      tools: ['template', 'scissors'],
      cautions: ['blades'],
      check: {
        ask: 'Is it in the front only, in the edge of the mouth?',
        ifNot: 'Lay the template again before you cut.',
        cost: 'too-late',
      },
      gate: true,
      on: { piece: carrier, stage: 'shape' },
    },
  ]
}

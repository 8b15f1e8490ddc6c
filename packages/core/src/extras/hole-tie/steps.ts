import type { Draft } from '../../make/draft.js'
import { rates } from '../../make/minutes.js'
import type { ExtraWork } from '../contract.js'
import { sayPlace, setHardware } from '../put-on.js'

/** A hole at each fore-edge, a ribbon looped through itself. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  return [
    setHardware(work, {
      id: 'punch-tie-holes',
      kind: 'punch',
      minutes: 2 * rates.hole + rates.template,
      name: 'Punch a hole at each fore-edge',
      does: `Centred at each fore-edge, ${sayPlace(work)}; seal the edge where the cloth frays.`,
      tools: ['punch', 'template'],
      cautions: ['punches'],
    }),
    {
      id: 'loop-ribbon',
      kind: 'thread',
      place: 'hand',
      minutes: 2 * rates.knot,
      name: 'Loop the ribbon through',
      does: 'Halve the ribbon; each half doubled, its loop through the hole and its ends through the loop. Singe or seal the ends.',
      why: 'Looped through itself it can be changed.',
      pieces: ['outer'],
      notions: work.ownNotions.map(({ id }) => id),
      tools: ['blunt needle'],
      cautions: ['flame'],
      goes: 'after-the-last',
      needs: ['punch-tie-holes'],
    },
  ]
}

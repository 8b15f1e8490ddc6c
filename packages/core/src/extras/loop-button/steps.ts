import type { Draft } from '../../make/draft.js'
import { rates } from '../../make/minutes.js'
import type { ExtraWork } from '../contract.js'
import { hold, ownNotion, setHardware } from '../put-on.js'

/** The loop into the seam, its ends well through; the button when the thing is in. */
export function steps(work: ExtraWork<unknown>): readonly Draft[] {
  const button = ownNotion(work, 'button')
  const cord = ownNotion(work, 'cord')
  return [
    hold(work, {
      id: 'hold-loop',
      what: 'the loop',
      notions: cord ? [cord.id] : [],
      lengthMm: 25,
    }),
    ...(button
      ? [
          setHardware(work, {
            id: 'sew-button',
            kind: 'attach',
            minutes: rates.button,
            name: 'Sew the button on',
            does: 'With the thing in and closed, lay the loop over: the button goes where it ends, through the outer only, with a shank of thread.',
            notions: [button.id],
            tools: ['needle', 'thread', 'pencil'],
            cautions: ['needles', 'small-parts'],
            measures: [{ notion: button.id, side: 'length' }],
          }),
        ]
      : []),
  ]
}

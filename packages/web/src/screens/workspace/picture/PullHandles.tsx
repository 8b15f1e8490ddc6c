import { toMm, type Face, type Holds, type Pull } from '@snowdrift/core'
import type { DrawingFrame } from '../../../views/DrawingView'
import type { Opened } from './opened'
import { PictureLayer } from './PictureLayer'
import { PullHandle } from './PullHandle'
import { edgeMoved } from './pull-length'
import { settingKey } from './setting-key'
import type { Told } from './told'
import { usePulling } from './use-pulling'

interface PullHandlesProps {
  readonly frame: DrawingFrame
  readonly face: Face
  readonly holds: Holds
  /** The places are those of a cover that has changed since. */
  readonly isStale: boolean
  /** The edge that is in hand: it alone is shown. */
  readonly inHand: Pull | undefined
  /** What the last change in the picture came to. */
  readonly told: Told | undefined
  readonly onTake: (pull: Pull) => void
  readonly onLetGo: () => void
  readonly onOpen: (opened: Opened) => void
  readonly onTold: (told: Told | undefined) => void
}

/** Where edges of the cover are taken hold of: pulled they follow the hand, pressed they open, keys step them. */
export function PullHandles({ frame, face, holds, isStale, inHand, told, ...on }: PullHandlesProps) {
  const pulling = usePulling(face, on)
  const pulls = inHand ? [inHand] : holds.pulls
  const reached = reachedByKeys(holds)
  return (
    <PictureLayer
      frame={frame}
      label="Edges in the picture"
      className={`pulls ${isStale && !inHand ? 'opacity-0' : ''}`}
    >
      {pulls.map(pull => (
        <PullHandle
          key={`${settingKey(pull.held)} ${pull.axis} ${pull.side}`}
          pull={pull}
          isReached={reached.has(pull)}
          isInHand={inHand !== undefined}
          by={inHand && told?.kind === 'length' ? edgeMoved(pull, told.length) : 0}
          long={toMm(frame.height) / 16}
          {...pulling(pull)}
        />
      ))}
    </PictureLayer>
  )
}

/** One place for the keys: where a size is written that follows the setting, else the first of its edges. */
function reachedByKeys({ pulls, sizes }: Holds): ReadonlySet<Pull> {
  const known = new Set(sizes.map(({ held }) => settingKey(held)))
  return new Set(
    pulls.filter(({ held }) => {
      const key = settingKey(held)
      if (known.has(key)) return false
      known.add(key)
      return true
    }),
  )
}

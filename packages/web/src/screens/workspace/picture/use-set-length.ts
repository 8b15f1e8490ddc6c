import { finestSaid, formatLength, pullTo, withSetting, type Held, type Length } from '@snowdrift/core'
import { useCallback } from 'react'
import { whileHeld } from '../../../drafts/draft'
import { useCover } from '../cover-context'
import { settingKey } from './setting-key'
import type { ToldLength } from './told'

/**
 * How a length was set: on the marks of the tape; typed, as finely as lengths are said; or still being typed, when what
 * cannot be reached is only on the way to something else, and nothing comes of it.
 */
type HowSet = 'marked' | 'typed' | 'typing'

/** Under which key a setting is changed from the picture: by one hold of the hand, or by typing on. */
export function keyOf(held: Held, heldSince?: number): string {
  return whileHeld(`picture.${settingKey(held)}`, heldSince)
}

/** Changes a setting from the picture, as near to what is wanted as the cover can be made. */
export function useSetLength(): (
  held: Held,
  wanted: Length,
  how: HowSet,
  heldSince?: number,
) => ToldLength | undefined {
  const { planned, unit, division, change } = useCover()
  return useCallback(
    (held, wanted, how, heldSince) => {
      const { cover, plan } = planned
      if (!cover || !plan) return undefined
      const pulled = pullTo(cover, plan, held, wanted, how === 'marked' ? division : finestSaid(unit))
      if (how === 'typing' && pulled.stop) return undefined
      const typed = formatLength(pulled.length, unit)
      change(keyOf(held, heldSince), file => withSetting(file, held.setting, typed))
      return { ...pulled, kind: 'length', held }
    },
    [planned, unit, division, change],
  )
}

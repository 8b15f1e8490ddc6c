import { carry as carryBy, scale, subtract, toMm, type Carried, type Carry } from '@snowdrift/core'
import { useState, type KeyboardEvent } from 'react'
import { whileHeld } from '../../../drafts/draft'
import { useCover } from '../cover-context'
import { carriedByKey } from './carried-by-key'
import type { Opened } from './opened'
import { placeInFile } from './place-in-file'
import type { Told } from './told'
import { useGrip } from './use-grip'

interface OnCarrying {
  readonly onOpen: (opened: Opened) => void
  readonly onTold: (told: Told | undefined) => void
}

/** What is in the hand, and how far it was carried, in millimetres. */
interface InHand {
  readonly carry: Carry
  readonly by: { readonly right: number; readonly up: number }
}

/** What something that can be carried answers to, by hand and by keys. Pressed its place opens, to be typed. */
export function useCarrying({ onOpen, onTold }: OnCarrying) {
  const { planned, unit, division, change, putBack } = useCover()
  const [inHand, setInHand] = useState<InHand>()
  const place = (carry: Carry, to: Carried, since?: number) => {
    change(carryKey(carry, since), file => placeInFile(file, carry.placed, to, unit))
    onTold({ kind: 'place', carry, ...to })
  }
  const open = (carry: Carry, anchor: SVGGElement) => onOpen({ kind: 'carry', carry, anchor, first: '' })
  const gripping = useGrip<Carry>({
    onLetGo: () => setInHand(undefined),
    onPress: open,
    onMove: (carry, { x, y }, since) => {
      const to = carryBy(carry.placed, { right: x, up: scale(y, -1) }, { by: 'hand', division, unit })
      setInHand({ carry, by: { right: far(carry, to, 'x'), up: far(carry, to, 'y') } })
      place(carry, to, since)
    },
    onPutBack: (carry, since) => {
      putBack(carryKey(carry, since))
      onTold({ kind: 'place', carry, ...carry.placed, isStopped: false })
    },
  })
  const press = (event: KeyboardEvent<SVGGElement>, carry: Carry) => {
    const by = carriedByKey(event, division)
    // where it is now: what is shown may be a moment old
    const placed = planned.plan?.placed.find(({ extra }) => extra === carry.placed.extra) ?? carry.placed
    if (by) place({ ...carry, placed }, carryBy(placed, by, { by: 'keys', division, unit }))
    else if (event.key === 'Enter' || event.key === ' ') open(carry, event.currentTarget)
    else return
    event.preventDefault()
    event.stopPropagation()
  }

  const carrying = (carry: Carry) => ({
    ...gripping(carry),
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => press(event, carry),
    onBlur: () => onTold(undefined),
  })
  return { inHand, carrying }
}

/** Under which key something is carried in the picture: by one hold of the hand, or by keys and typing. */
export function carryKey({ placed: { extra } }: Carry, heldSince?: number): string {
  return whileHeld(`picture.carry.${extra}`, heldSince)
}

function far({ placed }: Carry, to: Carried, key: 'x' | 'y'): number {
  return toMm(subtract(to[key], placed[key]))
}

import { add, scale, type Face, type Pull } from '@snowdrift/core'
import type { KeyboardEvent } from 'react'
import { useCover } from '../cover-context'
import { holdsOf } from './holds-of'
import type { Opened } from './opened'
import { marksOf, pulledLength } from './pull-length'
import { settingKey } from './setting-key'
import type { Told } from './told'
import { useGrip } from './use-grip'
import { keyOf, useSetLength } from './use-set-length'

interface OnPulling {
  readonly onTake: (pull: Pull) => void
  readonly onLetGo: () => void
  readonly onOpen: (opened: Opened) => void
  readonly onTold: (told: Told | undefined) => void
}

/** What an edge answers to, by hand and by keys. Pressed it opens, to be typed. */
export function usePulling(face: Face, { onTake, onLetGo, onOpen, onTold }: OnPulling) {
  const { planned, division, putBack } = useCover()
  const setLength = useSetLength()
  const open = (pull: Pick<Pull, 'held'>, anchor: SVGGElement) =>
    onOpen({ kind: 'setting', held: pull.held, anchor, first: '' })
  const gripping = useGrip<Pull>({
    onTake,
    onLetGo,
    onPress: open,
    onMove: (pull, moved, since) => onTold(setLength(pull.held, pulledLength(pull, moved), 'marked', since)),
    onPutBack: ({ held }, since) => {
      putBack(keyOf(held, since))
      onTold({ kind: 'length', held, length: held.value })
    },
  })
  const press = (event: KeyboardEvent<SVGGElement>, pull: Pull) => {
    const marks = marksOf(event)
    const now =
      holdsOf(planned, face).pulls.find(other => settingKey(other.held) === settingKey(pull.held)) ?? pull
    if (marks !== 0) onTold(setLength(now.held, add(now.held.value, scale(division, marks)), 'marked'))
    else if (event.key === 'Enter' || event.key === ' ') open(now, event.currentTarget)
    else return
    event.preventDefault()
    event.stopPropagation()
  }

  return (pull: Pull) => ({
    ...gripping(pull),
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => press(event, pull),
    onBlur: () => onTold(undefined),
  })
}

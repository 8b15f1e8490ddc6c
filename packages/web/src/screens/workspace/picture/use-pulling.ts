import { add, scale, type Face, type Pull } from '@snowdrift/core'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { useCover } from '../cover-context'
import { holdsOf } from './holds-of'
import type { Opened } from './opened'
import { marksOf, pulledLength } from './pull-length'
import { settingKey } from './setting-key'
import type { Told } from './told'
import { keyOf, useSetLength } from './use-set-length'

interface OnPulling {
  readonly onTake: (pull: Pull) => void
  readonly onLetGo: () => void
  readonly onOpen: (opened: Opened) => void
  readonly onTold: (told: Told | undefined) => void
}

interface Grip {
  readonly pull: Pull
  readonly x: number
  readonly y: number
  readonly pixelsPerMm: number
  readonly isMoved: boolean
  readonly since: number
  /** Ends the listening for Escape. */
  readonly listening: AbortController
}

/** Less than this many pixels is a press, which opens the setting to be typed. */
const stillPress = 3

/** What an edge answers to, by hand and by keys. Escape while it is pulled puts it back. */
export function usePulling(face: Face, { onTake, onLetGo, onOpen, onTold }: OnPulling) {
  const { planned, division, putBack: putFileBack } = useCover()
  const setLength = useSetLength()
  const grip = useRef<Grip>(undefined)

  const move = ({ clientX, clientY }: PointerEvent) => {
    const { current } = grip
    if (!current) return
    const moved = { x: clientX - current.x, y: clientY - current.y }
    if (!current.isMoved && Math.max(Math.abs(moved.x), Math.abs(moved.y)) < stillPress) return
    grip.current = { ...current, isMoved: true }
    const wanted = pulledLength(current.pull, moved, current.pixelsPerMm)
    onTold(setLength(current.pull.held, wanted, 'marked', current.since))
  }
  const end = (event: PointerEvent<SVGGElement>) => {
    const { current } = grip
    if (!current) return
    grip.current = undefined
    current.listening.abort()
    onLetGo()
    if (!current.isMoved && event.type === 'pointerup')
      onOpen({ kind: 'setting', held: current.pull.held, anchor: event.currentTarget, first: '' })
  }
  const putBack = () => {
    const { current } = grip
    if (!current) return
    grip.current = undefined
    current.listening.abort()
    if (current.isMoved) {
      const { held } = current.pull
      putFileBack(keyOf(held, current.since))
      onTold({ kind: 'length', held, length: held.value })
    }
    onLetGo()
  }
  const press = (event: KeyboardEvent<SVGGElement>, pull: Pull) => {
    const marks = marksOf(event)
    const { held } =
      holdsOf(planned, face).pulls.find(other => settingKey(other.held) === settingKey(pull.held)) ?? pull
    if (marks !== 0) onTold(setLength(held, add(held.value, scale(division, marks)), 'marked'))
    else if (event.key === 'Enter' || event.key === ' ')
      onOpen({ kind: 'setting', held, anchor: event.currentTarget, first: '' })
    else return
    event.preventDefault()
    event.stopPropagation()
  }

  return (pull: Pull) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      const pixelsPerMm = event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 0
      if (event.button !== 0 || pixelsPerMm === 0) return
      event.currentTarget.setPointerCapture(event.pointerId)
      const listening = new AbortController()
      const onKey = ({ key }: globalThis.KeyboardEvent) => key === 'Escape' && putBack()
      addEventListener('keydown', onKey, { signal: listening.signal })
      const { clientX: x, clientY: y, timeStamp: since } = event
      grip.current = { pull, x, y, pixelsPerMm, isMoved: false, since, listening }
      onTake(pull)
    },
    onPointerMove: move,
    onPointerUp: end,
    onPointerCancel: end,
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => press(event, pull),
    onBlur: () => onTold(undefined),
  })
}

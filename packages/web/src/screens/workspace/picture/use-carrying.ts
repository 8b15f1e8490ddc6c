import { carry as carryBy, mm, subtract, toMm, type Carried, type Carry } from '@snowdrift/core'
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react'
import { whileHeld } from '../../../drafts/draft'
import { useCover } from '../cover-context'
import { carriedByKey } from './carried-by-key'
import type { Opened } from './opened'
import { placeInFile } from './place-in-file'
import type { Told } from './told'

interface OnCarrying {
  readonly onOpen: (opened: Opened) => void
  readonly onTold: (told: Told | undefined) => void
}

interface Grip {
  readonly carry: Carry
  readonly x: number
  readonly y: number
  readonly pixelsPerMm: number
  readonly isMoved: boolean
  readonly key: string
  /** Ends the listening for Escape. */
  readonly listening: AbortController
}

/** What is in the hand, and how far it was carried, in millimetres. */
interface InHand {
  readonly carry: Carry
  readonly by: { readonly right: number; readonly up: number }
}

/** Less than this many pixels is a press, which opens the place to be typed. */
const stillPress = 3

/** What something that can be carried answers to, by hand and by keys. Escape while it is carried puts it back. */
export function useCarrying({ onOpen, onTold }: OnCarrying) {
  const { planned, unit, division, change, putBack: putFileBack } = useCover()
  const grip = useRef<Grip>(undefined)
  const [inHand, setInHand] = useState<InHand>()

  const place = (carry: Carry, to: Carried, key: string) => {
    change(key, file => placeInFile(file, carry.placed, to, unit))
    onTold({ kind: 'place', carry, ...to })
  }
  const move = ({ clientX, clientY }: PointerEvent) => {
    const { current } = grip
    if (!current) return
    const [right, up] = [clientX - current.x, current.y - clientY]
    if (!current.isMoved && Math.max(Math.abs(right), Math.abs(up)) < stillPress) return
    grip.current = { ...current, isMoved: true }
    const { carry, pixelsPerMm, key } = current
    const inMm = { right: mm(right / pixelsPerMm), up: mm(up / pixelsPerMm) }
    const to = carryBy(carry.placed, inMm, { by: 'hand', division, unit })
    setInHand({ carry, by: { right: far(carry, to, 'x'), up: far(carry, to, 'y') } })
    place(carry, to, key)
  }
  const letGo = () => {
    const { current } = grip
    grip.current = undefined
    current?.listening.abort()
    setInHand(undefined)
    return current
  }
  const end = (event: PointerEvent<SVGGElement>) => {
    const held = letGo()
    if (held && !held.isMoved && event.type === 'pointerup')
      onOpen({ kind: 'carry', carry: held.carry, anchor: event.currentTarget, first: '' })
  }
  const putBack = () => {
    const held = letGo()
    if (!held?.isMoved) return
    putFileBack(held.key)
    onTold({ kind: 'place', carry: held.carry, ...held.carry.placed, isStopped: false })
  }
  const press = (event: KeyboardEvent<SVGGElement>, carry: Carry) => {
    const by = carriedByKey(event, division)
    // where it is now: what is shown may be a moment old
    const now = planned.plan?.placed.find(({ extra }) => extra === carry.placed.extra) ?? carry.placed
    if (by)
      place({ ...carry, placed: now }, carryBy(now, by, { by: 'keys', division, unit }), carryKey(carry))
    else if (event.key === 'Enter' || event.key === ' ')
      onOpen({ kind: 'carry', carry, anchor: event.currentTarget, first: '' })
    else return
    event.preventDefault()
    event.stopPropagation()
  }

  const carrying = (carry: Carry) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      const pixelsPerMm = event.currentTarget.ownerSVGElement?.getScreenCTM()?.a ?? 0
      if (event.button !== 0 || pixelsPerMm === 0) return
      event.currentTarget.setPointerCapture(event.pointerId)
      const listening = new AbortController()
      const onKey = ({ key }: globalThis.KeyboardEvent) => key === 'Escape' && putBack()
      addEventListener('keydown', onKey, { signal: listening.signal })
      const { clientX: x, clientY: y, timeStamp } = event
      const key = whileHeld(carryKey(carry), timeStamp)
      grip.current = { carry, x, y, pixelsPerMm, isMoved: false, key, listening }
    },
    onPointerMove: move,
    onPointerUp: end,
    onPointerCancel: end,
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => press(event, carry),
    onBlur: () => onTold(undefined),
  })
  return { inHand, carrying }
}

/** Under which key something is carried in the picture, or its place typed there. */
export function carryKey({ placed: { extra } }: Carry): string {
  return `picture.carry.${extra}`
}

function far({ placed }: Carry, to: Carried, key: 'x' | 'y'): number {
  return toMm(subtract(to[key], placed[key]))
}

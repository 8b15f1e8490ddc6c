import {
  stillPoint,
  subtract,
  add,
  type Drawing,
  type Face,
  type Plan,
  type Pull,
  type Point,
} from '@snowdrift/core'
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react'
import { DrawingView, type DrawingFrame } from '../../../views/DrawingView'
import { CarryHandles } from './CarryHandles'
import { PullBubble } from './PullBubble'
import { PullHandles } from './PullHandles'
import { SizeControls } from './SizeControls'
import type { Opened } from './opened'
import { useHolds } from './use-holds'
import type { Told } from './told'

const loadCard = () => import('./SettingCard')
const SettingCard = lazy(loadCard)
const FollowsCard = lazy(() => import('./FollowsCard'))
const CarryCard = lazy(() => import('./CarryCard'))

interface StripPictureProps {
  readonly drawing: Drawing
  readonly plan: Plan
  readonly face: Face
  readonly textScale: number
  readonly onPick: (piece: string) => void
}

/** An edge in hand: what was shown when it was taken hold of stays shown, so that the edge stays under the hand. */
interface InHand {
  readonly pull: Pull
  readonly frame: DrawingFrame
  readonly still: Point
  readonly textScale: number
}

/** How long it is said what an edge that was let go came to. */
const toldMs = 8000

/** The cover laid flat, where one works on it: sizes are typed or stepped, edges pulled, each with what it does. */
export function StripPicture({ drawing, plan, face, textScale, onPick }: StripPictureProps) {
  const { holds, isFresh } = useHolds(face)
  const [inHand, setInHand] = useState<InHand>()
  const [told, setTold] = useState<Told>()
  const [opened, setOpened] = useState<Opened>()
  const open = useCallback((next: Opened) => setOpened(before => typedOn(before, next)), [])
  const [calm, setCalm] = useState(plan)
  if (!told && plan !== calm) setCalm(plan)
  const picture = useRef<HTMLDivElement>(null)
  useEffect(() => {
    // Whoever goes by keys has it before them until they go elsewhere.
    if (!told || inHand || picture.current?.contains(document.activeElement)) return
    const timer = setTimeout(() => setTold(undefined), toldMs)
    return () => clearTimeout(timer)
  }, [told, inHand])
  const letters = inHand?.textScale ?? textScale
  const frame = inHand ? frameFor(inHand, stillPoint(plan, face)) : drawing
  const take = useCallback(
    (pull: Pull) => {
      setTold(undefined)
      setInHand({ pull, frame: drawing, still: stillPoint(plan, face), textScale })
    },
    [drawing, plan, face, textScale],
  )
  const letGo = useCallback(() => setInHand(undefined), [])
  return (
    <div
      ref={picture}
      className="holdable relative h-full"
      onFocus={() => void loadCard()}
      onPointerEnter={() => void loadCard()}
    >
      <DrawingView drawing={drawing} textScale={letters} onPick={onPick} frame={frame} />
      <SizeControls
        drawing={drawing}
        frame={frame}
        textScale={letters}
        plan={plan}
        face={face}
        holds={holds}
        onOpen={open}
        onTold={setTold}
      />
      <PullHandles
        frame={inHand?.frame ?? drawing}
        face={face}
        holds={holds}
        isStale={!isFresh}
        inHand={inHand?.pull}
        told={told}
        onTake={take}
        onLetGo={letGo}
        onOpen={open}
        onTold={setTold}
      />
      {/* Above the edges: of a small pocket the middle is all that is left to take it by. */}
      <CarryHandles
        frame={inHand?.frame ?? drawing}
        carries={inHand ? [] : holds.carries}
        isStale={!isFresh}
        onOpen={open}
        onTold={setTold}
      />
      {told && <PullBubble told={told} plan={plan} before={calm} />}
      {opened && (
        <Suspense>
          <OpenedCard opened={opened} plan={plan} onTold={setTold} onClose={() => setOpened(undefined)} />
        </Suspense>
      )}
    </div>
  )
}

interface OpenedCardProps {
  readonly opened: Opened
  readonly plan: Plan
  readonly onTold: (told: Told | undefined) => void
  readonly onClose: () => void
}

function OpenedCard({ opened, ...on }: OpenedCardProps) {
  switch (opened.kind) {
    case 'following':
      return <FollowsCard key={opened.dimension} opened={opened} plan={on.plan} onClose={on.onClose} />
    case 'carry':
      return <CarryCard opened={opened} onTold={on.onTold} onClose={on.onClose} />
    case 'size':
    case 'setting':
      return <SettingCard opened={opened} {...on} />
  }
}

/** The frame of the start, moved along with the point that is to stay where it is. */
function frameFor({ frame, still }: InHand, now: Point): DrawingFrame {
  const [left, top] = frame.from
  return {
    ...frame,
    from: [add(left, subtract(now[0], still[0])), add(top, subtract(now[1], still[1]))],
  }
}

/** Keys that come while the card is still being fetched are typed on. */
function typedOn(before: Opened | undefined, next: Opened): Opened {
  if (before?.anchor === next.anchor) return { ...before, first: before.first + next.first }
  return { ...next, first: next.first.trim() }
}

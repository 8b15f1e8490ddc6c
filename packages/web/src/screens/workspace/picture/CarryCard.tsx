import { farthest, formatLength, parseLength, zero, type PlacedExtra } from '@snowdrift/core'
import { useState } from 'react'
import { LengthField } from '../../../parts/LengthField'
import { WrittenUnit } from '../../../parts/written-unit'
import { useCover } from '../cover-context'
import type { OpenedCarry } from './opened'
import { PictureCard } from './PictureCard'
import { placeInFile } from './place-in-file'
import type { Told } from './told'
import { carryKey } from './use-carrying'

interface CarryCardProps {
  readonly opened: OpenedCarry
  readonly onTold: (told: Told | undefined) => void
  readonly onClose: () => void
}

const labels = { x: 'From the left', y: 'From below' } as const

/** The place of something that was added, typed where it lies: from the left and from below of what it sits on. */
export default function CarryCard({ opened, onTold, onClose }: CarryCardProps) {
  const { planned, unit, division, change } = useCover()
  const { carry } = opened
  const placed = planned.plan?.placed.find(({ extra }) => extra === carry.placed.extra) ?? carry.placed
  const [typed, setTyped] = useState({
    x: formatLength(placed.x, unit, { bare: true }),
    y: formatLength(placed.y, unit, { bare: true }),
  })
  const take = (key: 'x' | 'y', text: string | undefined) => {
    if (text === undefined) return
    setTyped(before => ({ ...before, [key]: text }))
    const read = parseLength(text, unit)
    if (!read.ok) return
    const to = typedOn(placed, key, read.length)
    change(carryKey(carry), file => placeInFile(file, placed, to, unit))
    onTold({ kind: 'place', carry, ...to })
  }
  return (
    <PictureCard
      label={`Place of ${carry.name.toLowerCase()}`}
      anchor={opened.anchor}
      onClose={onClose}
      onFocus={({ target }) => target instanceof HTMLInputElement && target.select()}
    >
      <form
        className="grid gap-2"
        onSubmit={event => {
          event.preventDefault()
          onClose()
        }}
      >
        <p className="text-sm text-soft">
          {carry.name}, on the {placed.ground.name}, seen from its right side.
        </p>
        <WrittenUnit value={unit}>
          {placed.moves.map((key, index) => (
            <LengthField
              key={key}
              label={labels[key]}
              unit={unit}
              value={typed[key]}
              division={division}
              range={{ min: zero, max: farthest(placed, key, unit) }}
              autoFocus={index === 0}
              enterSends={index === placed.moves.length - 1}
              alone
              onChange={text => take(key, text)}
            />
          ))}
        </WrittenUnit>
        {/* Enter sends a form of several fields only where something is there to be pressed. */}
        <button type="submit" hidden />
      </form>
    </PictureCard>
  )
}

/** As typed, however fine: nothing draws it anywhere. */
function typedOn(placed: PlacedExtra, key: 'x' | 'y', length: PlacedExtra['x']) {
  return { x: placed.x, y: placed.y, [key]: length, isStopped: false }
}

import {
  dimensionOf,
  formatLength,
  parseLength,
  mm,
  settingFor,
  type Length as CoreLength,
  type Plan,
} from '@snowdrift/core'
import { useState } from 'react'
import { Length } from '../../../parts/Length'
import { LengthField } from '../../../parts/LengthField'
import { WrittenUnit } from '../../../parts/written-unit'
import { useCover } from '../cover-context'
import type { OpenedSetting } from './opened'
import { PictureCard } from './PictureCard'
import type { Told } from './told'
import { useSetLength } from './use-set-length'

interface SettingCardProps {
  readonly opened: OpenedSetting
  readonly plan: Plan
  readonly onTold: (told: Told | undefined) => void
  readonly onClose: () => void
}

const sizeRange = { min: mm(1), max: mm(3000) }

/** A length typed where it stands in the picture: what can be reached holds at once, the rest as near as it comes on Enter. */
export default function SettingCard({ opened, plan, onTold, onClose }: SettingCardProps) {
  const { unit, division } = useCover()
  const setLength = useSetLength()
  const start = opened.kind === 'size' ? opened.size.size : opened.held.value
  const { held } = opened.kind === 'size' ? opened.size : opened
  const [typed, setTyped] = useState(opened.first || formatLength(start, unit, { bare: true }))
  const set = (text: string, how: 'typed' | 'typing') => {
    const read = parseLength(text, unit)
    if (read.ok) onTold(setLength(held, settingOf(opened, read.length), how))
  }
  const take = (text: string | undefined) => {
    if (text === undefined) return
    setTyped(text)
    set(text, 'typing')
  }
  return (
    <PictureCard
      label={opened.kind === 'size' ? opened.name : held.label}
      anchor={opened.anchor}
      onClose={onClose}
      onFocus={({ target }) => {
        if (!(target instanceof HTMLInputElement)) return
        target.setSelectionRange(opened.first ? opened.first.length : 0, target.value.length)
      }}
    >
      <form
        className="grid gap-2"
        onSubmit={event => {
          event.preventDefault()
          set(typed, 'typed')
          onClose()
        }}
      >
        <WrittenUnit value={unit}>
          <LengthField
            label={opened.kind === 'size' ? opened.name : held.label}
            unit={unit}
            value={typed}
            division={division}
            range={opened.kind === 'size' ? sizeRange : held.range}
            autoFocus
            enterSends
            alone
            onChange={take}
          />
        </WrittenUnit>
        {opened.kind === 'size' && (
          <p className="text-sm text-soft">
            By way of “{held.label.toLowerCase()}”. Comes to{' '}
            <Length value={dimensionOf(plan.strip, opened.size.dimension) ?? start} unit={unit} />, up to the
            cutting grid.
          </p>
        )}
      </form>
    </PictureCard>
  )
}

/** What the setting is to be, for what was opened to be as long as was typed. */
function settingOf(opened: OpenedSetting, length: CoreLength): CoreLength {
  return opened.kind === 'size' ? settingFor(opened.size, length) : length
}

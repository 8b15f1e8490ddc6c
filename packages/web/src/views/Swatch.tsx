import type { MaterialRow, Weave } from '@snowdrift/core'
import { useId } from 'react'
import { isDark } from './cloth/is-dark'
import { pictureOf } from './cloth/look'
import { WeaveMarks } from './cloth/WeaveMarks'

/** A bit of cloth: its picture, or its colour with a small weave or print drawn on it. */
export function Swatch({ row, size = 'size-14' }: { readonly row: MaterialRow; readonly size?: string }) {
  const { id, picture, swatch, stock, material } = row
  if (picture > 0)
    return (
      <img
        className={`${size} shrink-0 rounded-sm border border-rule object-cover`}
        src={pictureOf(id, picture)}
        alt={`A picture of ${material.name}`}
      />
    )
  return <WovenSwatch colour={swatch} weave={stock.weave ?? 'plain'} size={size} />
}

export function WovenSwatch({
  colour,
  weave,
  size,
}: {
  readonly colour: string
  readonly weave: Weave
  readonly size: string
}) {
  const pattern = useId()
  return (
    <svg className={`${size} shrink-0 rounded-sm border border-rule`} viewBox="0 0 32 32" aria-hidden>
      <defs>
        <pattern id={pattern} width="8" height="8" patternUnits="userSpaceOnUse">
          <WeaveMarks weave={weave} ink={isDark(colour) ? '#ffffff' : '#1c2b35'} />
        </pattern>
      </defs>
      <rect width="32" height="32" fill={colour} />
      <rect width="32" height="32" fill={`url(#${pattern})`} opacity="0.45" />
    </svg>
  )
}

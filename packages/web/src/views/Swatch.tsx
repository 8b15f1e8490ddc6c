import type { MaterialRow, Weave } from '@snowdrift/core'
import { useId } from 'react'

/** A bit of cloth: its picture, or its colour with a small weave or print drawn on it. */
export function Swatch({ row, size = 'size-14' }: { readonly row: MaterialRow; readonly size?: string }) {
  const { id, picture, swatch, stock, material } = row
  if (picture > 0)
    return (
      <img
        className={`${size} shrink-0 rounded-sm border border-rule object-cover`}
        src={`/api/materials/${id}/picture?v=${picture}`}
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

function WeaveMarks({ weave, ink }: { readonly weave: Weave; readonly ink: string }) {
  const thin = { stroke: ink, strokeWidth: 0.6, fill: 'none' }
  switch (weave) {
    case 'plain':
      return <path {...thin} strokeWidth={0.3} d="M0 2h8M0 6h8M2 0v8M6 0v8" />
    case 'twill':
      return <path {...thin} d="M-2 2 2 -2M0 8 8 0M6 10 10 6" />
    case 'stripes':
      return <path {...thin} strokeWidth={1.4} d="M2 0v8M6 0v8" />
    case 'checks':
      return <path fill={ink} d="M0 0h4v4H0zM4 4h4v4H4z" opacity={0.6} />
    case 'dots':
      return <circle cx="4" cy="4" r="1.4" fill={ink} />
    case 'sprigs':
      return <path {...thin} d="M4 7V2M4 4 2 2.5M4 5 6 3.5" />
    case 'stars':
      return <path fill={ink} d="m4 1 .8 2.2L7 4l-2.2.8L4 7l-.8-2.2L1 4l2.2-.8z" />
  }
}

function isDark(colour: string): boolean {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map(at => parseInt(colour.slice(at, at + 2), 16))
  return 0.299 * red + 0.587 * green + 0.114 * blue < 140
}

import type { Weave } from '@snowdrift/core'
import { isDark } from './is-dark'
import { PhotoImage } from './PhotoImage'
import { usualRepeatMm, type ClothLook } from './look'
import { WeaveMarks } from './WeaveMarks'

interface ClothPatternProps {
  readonly id: string
  readonly look: ClothLook
  /** How many units of the drawing are a millimetre. */
  readonly scale?: number
}

/** A cloth to fill shapes with: its photograph, or its weave and print, upright and at true scale. */
export function ClothPattern({ id, look, scale = 1 }: ClothPatternProps) {
  const [x, y] = look.from ?? [0, 0]
  const lie = { id, x: x * scale, y: y * scale, scale }
  return look.photo ? <PhotoPattern {...lie} photo={look.photo} /> : <WeavePattern {...lie} look={look} />
}

interface Lie {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly scale: number
}

function WeavePattern({ look, scale, ...place }: Lie & { readonly look: ClothLook }) {
  const { colour, weave, repeatMm, acrossMm } = look
  const [wide, high] = [acrossMm * scale, repeatMm * scale]
  const [across, along] = [countOf(weave, acrossMm), countOf(weave, repeatMm)]
  return (
    <pattern {...place} width={wide} height={high} patternUnits="userSpaceOnUse">
      <rect width={wide} height={high} fill={colour} />
      <g
        transform={`scale(${wide / (8 * across)} ${high / (8 * along)})`}
        opacity={weave === 'plain' ? 0.15 : 0.45}
      >
        {motifsOf(across, along).map(({ x, y, turn }) => (
          <g key={`${x} ${y}`} transform={`translate(${8 * x} ${8 * y}) rotate(${turn} 4 4)`}>
            <WeaveMarks weave={weave} ink={isDark(colour) ? '#ffffff' : '#1c2b35'} />
          </g>
        ))}
      </g>
    </pattern>
  )
}

/** A print whose repeat is long has several motifs in it, of about the size that they usually have. */
function countOf(weave: Weave, repeatMm: number): number {
  const isScattered = weave === 'sprigs' || weave === 'stars' || weave === 'dots'
  return isScattered ? Math.min(6, Math.max(1, Math.round(repeatMm / usualRepeatMm[weave]))) : 1
}

/** Each a little otherwise turned than its neighbours, so that only the whole comes again. */
function motifsOf(across: number, along: number) {
  const most = Math.max(across, along)
  return Array.from({ length: across * along }, (_, index) => {
    const [x, y] = [index % across, Math.floor(index / across)]
    return { x, y, turn: most === 1 ? 0 : 18 * (((5 * x + 3 * y) % most) - (most - 1) / 2) }
  })
}

function PhotoPattern({ photo, scale, ...place }: Lie & { readonly photo: NonNullable<ClothLook['photo']> }) {
  const { tile } = photo
  return (
    <pattern {...place} width={tile.width * scale} height={tile.height * scale} patternUnits="userSpaceOnUse">
      <g transform={`scale(${scale}) translate(${-tile.x} ${-tile.y})`}>
        <PhotoImage photo={photo} />
      </g>
    </pattern>
  )
}

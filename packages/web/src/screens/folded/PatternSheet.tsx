import type { Ref } from 'react'
import { ClothPattern } from '../../views/cloth/ClothPattern'
import type { ClothLook } from '../../views/cloth/look'
import { repeatOf } from './repeat'

/** One repeat of each cloth, drawn out of sight, from which its texture is taken. */
export function PatternSheet({
  ref,
  looks,
}: {
  readonly ref: Ref<HTMLDivElement>
  readonly looks: readonly ClothLook[]
}) {
  return (
    <div ref={ref} className="drawing sr-only" aria-hidden>
      {looks.map(look => {
        const { width, height } = repeatOf(look)
        return (
          <svg
            key={look.key}
            data-look={look.key}
            xmlns="http://www.w3.org/2000/svg"
            viewBox={`0 0 ${width} ${height}`}
          >
            <defs>
              <ClothPattern id={`round-${look.key}`} look={look} />
            </defs>
            <rect width={width} height={height} fill={`url(#round-${look.key})`} />
          </svg>
        )
      })}
    </div>
  )
}

import type { ReactNode } from 'react'

interface ShelfPlaceProps {
  readonly picture: ReactNode
  readonly children: ReactNode
}

/** A place on the shelf: what stands there on the board, and its words beneath. */
export function ShelfPlace({ picture, children }: ShelfPlaceProps) {
  return (
    <li className="group relative grid min-w-44 max-w-60 flex-[1_0_11rem] gap-2 sm:flex-none">
      <div className="flex items-end border-b-2 border-strong-rule px-4">{picture}</div>
      <div className="relative h-24 overflow-hidden px-4">{children}</div>
    </li>
  )
}

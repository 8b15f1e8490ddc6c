import type { ReactNode } from 'react'
import { viewBoxOf, type DrawingFrame } from '../../../views/DrawingView'

interface PictureLayerProps {
  readonly frame: DrawingFrame
  /** What it holds, for those who hear the page. */
  readonly label: string
  readonly className?: string
  readonly children: ReactNode
}

/** What one works with, laid over the drawing in the same frame; only what it holds can be pointed at. */
export function PictureLayer({ frame, label, className = '', children }: PictureLayerProps) {
  return (
    <svg
      className={`pointer-events-none absolute inset-0 size-full overflow-visible ${className}`}
      viewBox={viewBoxOf(frame)}
      preserveAspectRatio="xMidYMid meet"
      role="group"
      aria-label={label}
    >
      {children}
    </svg>
  )
}

import { ZoomIn, ZoomOut } from 'lucide-react'
import { IconButton } from '../../../parts/IconButton'

const steps = [1, 1.5, 2, 3, 4] as const

/** Nobody looks closer than that. */
export const closest = 4

interface ZoomProps {
  /** What is looked at closer, for those who do not see it. */
  readonly of: string
  readonly zoom: number
  readonly onZoom: (zoom: number) => void
}

/** Closer and farther; what does not fit then is scrolled to. */
export function Zoom({ of, zoom, onZoom }: ZoomProps) {
  const closer = steps.find(step => step > zoom)
  const farther = steps.findLast(step => step < zoom)
  return (
    <span className="inline-flex items-center">
      <IconButton
        icon={ZoomOut}
        label={`${of}: farther`}
        disabled={farther === undefined}
        onClick={() => farther !== undefined && onZoom(farther)}
      />
      <span className="w-12 text-center text-sm text-soft tabular-nums">{Math.round(100 * zoom)} %</span>
      <IconButton
        icon={ZoomIn}
        label={`${of}: closer`}
        disabled={closer === undefined}
        onClick={() => closer !== undefined && onZoom(closer)}
      />
    </span>
  )
}

import type { CutRun, CutterSettings } from '../../devices/cutter/machine'

interface CutterBedProps {
  readonly run: CutRun
  readonly bed: CutterSettings['bed']
}

/** The bed from above with the way of the tools, to scale; what lies outside it shows, too. */
export function CutterBed({ run: { strokes, over }, bed }: CutterBedProps) {
  const left = -over.left
  const width = bed.width + over.left + over.right
  const height = bed.height + over.top + over.bottom
  const stroke = Math.max(width, height) / 500
  return (
    <svg
      role="img"
      aria-label="The way of the tools over the bed"
      className="max-h-96 w-full"
      viewBox={`${left} ${-over.top} ${width} ${height}`}
      preserveAspectRatio="xMinYMin meet"
    >
      <rect
        x={0}
        y={0}
        width={bed.width}
        height={bed.height}
        className="fill-sunken stroke-strong-rule"
        strokeWidth={stroke}
      />
      {strokes.map(({ places, isOver, isCut, layer }, index) => (
        <polyline
          key={index}
          fill="none"
          className={
            isOver ? 'stroke-bad' : isCut ? (layer === 'cut' ? 'stroke-thread' : 'stroke-ink') : 'stroke-rule'
          }
          strokeWidth={isOver ? 2 * stroke : stroke}
          {...(!isCut && { strokeDasharray: `${3 * stroke} ${3 * stroke}` })}
          points={places.map(([x, y]) => `${x.toFixed(2)},${(bed.height - y).toFixed(2)}`).join(' ')}
        />
      ))}
    </svg>
  )
}

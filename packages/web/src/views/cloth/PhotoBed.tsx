import { useId } from 'react'
import { PhotoImage } from './PhotoImage'
import type { Bed } from './photo-tiles'

interface PhotoBedProps extends Bed {
  /** The outline of what lies on it, as an SVG path. */
  readonly path: string
}

/**
 * A photograph beneath a shape, as often as it is needed there. A pattern of it would look the same, but the browser draws
 * its repeat anew for each shape and each square of the screen: three times the work for a picture that moves.
 */
export function PhotoBed({ photo, tiles, path }: PhotoBedProps) {
  const { tile } = photo
  const id = useId()
  return (
    <g className="photo-bed" clipPath={`url(#${id})`}>
      <clipPath id={id}>
        <path d={path} />
      </clipPath>
      {tiles.map(([x, y]) => (
        <svg
          key={`${x} ${y}`}
          {...{ x, y, width: tile.width, height: tile.height }}
          viewBox={`${tile.x} ${tile.y} ${tile.width} ${tile.height}`}
        >
          <PhotoImage photo={photo} />
        </svg>
      ))}
    </g>
  )
}

import type { PhotoPoint } from '@snowdrift/core'
import type { KeyboardEvent, PointerEvent } from 'react'

interface MarkedPictureProps {
  readonly href: string
  /** Height over width, once the picture is there. */
  readonly ratio: number | undefined
  readonly marks: readonly [PhotoPoint, PhotoPoint]
  readonly onRatio: (ratio: number) => void
  readonly onMark: (index: 0 | 1, point: [number, number]) => void
}

/** A picture with two marks on it, dragged or moved by the arrow keys. */
export function MarkedPicture({ href, ratio, marks, onRatio, onMark }: MarkedPictureProps) {
  const put = (index: 0 | 1, x: number, y: number) => {
    if (ratio !== undefined) onMark(index, [within(x, 1), within(y, ratio)])
  }
  const drag = (index: 0 | 1, event: PointerEvent) => {
    const box = event.currentTarget.parentElement?.getBoundingClientRect()
    if (!box || !event.currentTarget.hasPointerCapture(event.pointerId)) return
    put(index, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.width)
  }
  const step = (index: 0 | 1, event: KeyboardEvent) => {
    const by = steps[event.key]
    if (!by) return
    event.preventDefault()
    const far = event.shiftKey ? 0.05 : 0.005
    const [x, y] = marks[index]
    put(index, x + by[0] * far, y + by[1] * far)
  }
  return (
    <div className="relative touch-none select-none">
      <img
        src={href}
        alt="The picture of the cloth"
        className="block w-full"
        draggable={false}
        onLoad={({ currentTarget: { naturalWidth, naturalHeight } }) => onRatio(naturalHeight / naturalWidth)}
      />
      {ratio !== undefined && (
        <svg
          className="pointer-events-none absolute inset-0 size-full"
          viewBox={`0 0 1 ${ratio}`}
          aria-hidden
        >
          <line
            {...{ x1: marks[0][0], y1: marks[0][1], x2: marks[1][0], y2: marks[1][1] }}
            stroke="#fff"
            strokeWidth={0.014}
          />
          <line
            {...{ x1: marks[0][0], y1: marks[0][1], x2: marks[1][0], y2: marks[1][1] }}
            stroke="var(--thread)"
            strokeWidth={0.006}
          />
        </svg>
      )}
      {ratio !== undefined &&
        ([0, 1] as const).map(index => (
          <button
            key={index}
            type="button"
            aria-label={index === 0 ? 'First mark' : 'Second mark'}
            className="absolute grid size-11 -translate-1/2 cursor-move touch-none place-items-center rounded-full"
            style={{ left: `${100 * marks[index][0]}%`, top: `${(100 * marks[index][1]) / ratio}%` }}
            onPointerDown={event => event.currentTarget.setPointerCapture(event.pointerId)}
            onPointerMove={event => drag(index, event)}
            onKeyDown={event => step(index, event)}
          >
            <span className="block size-4 rounded-full border-2 border-thread bg-surface/60" aria-hidden />
          </button>
        ))}
    </div>
  )
}

const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

function within(at: number, most: number): number {
  return Math.round(1e4 * Math.max(0, Math.min(at, most))) / 1e4
}

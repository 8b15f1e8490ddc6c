import type { ShelfEntry } from '@snowdrift/core'
import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef, useState } from 'react'
import { CoverOnShelf } from './CoverOnShelf'
import type { Cloths } from './use-cloths'

interface BigShelfProps {
  readonly entries: readonly ShelfEntry[]
  readonly cloths: Cloths
}

/** A place takes so much, as `ShelfPlace` has it. */
const placeWidth = 240
const estimatedHeight = 330

/** A shelf of thousands: only the boards in sight are there. */
export default function BigShelf({ entries, cloths }: BigShelfProps) {
  const list = useRef<HTMLUListElement>(null)
  const [{ columns, top }, setFrame] = useState({ columns: 4, top: 0 })
  useEffect(() => {
    const measure = () => {
      if (!list.current) return
      setFrame({
        columns: Math.max(1, Math.floor(list.current.clientWidth / placeWidth)),
        top: list.current.offsetTop,
      })
    }
    measure()
    addEventListener('resize', measure)
    return () => removeEventListener('resize', measure)
  }, [])
  const boards = useWindowVirtualizer({
    count: Math.ceil(entries.length / columns),
    estimateSize: () => estimatedHeight,
    overscan: 2,
    scrollMargin: top,
  })
  return (
    <ul
      ref={list}
      aria-label="Covers"
      className="relative"
      style={{ height: boards.getTotalSize() }}
      data-big-shelf={entries.length}
    >
      {boards.getVirtualItems().map(({ index, start }) => (
        <li
          key={index}
          ref={boards.measureElement}
          data-index={index}
          className="absolute top-0 left-0 w-full"
          style={{ transform: `translateY(${start - top}px)` }}
        >
          <ul
            aria-label={`Covers ${index * columns + 1} to ${Math.min(entries.length, (index + 1) * columns)} of ${entries.length}`}
            className="flex min-h-72 items-end pb-10"
          >
            {entries.slice(index * columns, (index + 1) * columns).map(entry => (
              <CoverOnShelf key={entry.id} entry={entry} cloths={cloths} />
            ))}
          </ul>
        </li>
      ))}
    </ul>
  )
}

import type { ShelfEntry } from '@snowdrift/core'
import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { memo, useEffect, useMemo, useRef, useState } from 'react'
import { useCoversAtQuery } from '../../api/log-api'
import { CoverOnShelf } from './CoverOnShelf'
import { useTurn } from './in-turn'
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
    // The hand scrolls first; what comes into sight is drawn after it.
    useFlushSync: false,
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
          <Board
            entries={entries}
            cloths={cloths}
            from={index * columns}
            to={Math.min(entries.length, (index + 1) * columns)}
          />
        </li>
      ))}
    </ul>
  )
}

interface BoardProps extends BigShelfProps {
  /** Which of them stand on it. */
  readonly from: number
  readonly to: number
}

/**
 * One board, filled in its turn: two of them at once would hold a hand up that scrolls. Boards that stand already are left
 * alone while it goes on.
 */
const Board = memo(function Board({ entries, cloths, from, to }: BoardProps) {
  const hasTurn = useTurn()
  const standing = useMemo(() => entries.slice(from, to), [entries, from, to])
  const asked = useMemo(() => standing.map(({ id, version }) => ({ id, version })), [standing])
  const { data: rows } = useCoversAtQuery(asked, { skip: !hasTurn })
  return (
    <ul
      aria-label={`Covers ${from + 1} to ${to} of ${entries.length}`}
      className="flex min-h-72 items-end pb-10"
      style={hasTurn ? undefined : { height: estimatedHeight }}
    >
      {hasTurn &&
        standing.map(entry => (
          <CoverOnShelf
            key={entry.id}
            entry={entry}
            row={rows?.find(({ id }) => id === entry.id)}
            cloths={cloths}
          />
        ))}
    </ul>
  )
})

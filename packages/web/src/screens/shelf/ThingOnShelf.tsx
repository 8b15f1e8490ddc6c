import { readLength, readingRanges, zero, type Length, type ReadingKey, type ThingRow } from '@snowdrift/core'
import { Trash2 } from 'lucide-react'
import { Link } from 'react-router'
import { useDeleteThingMutation } from '../../api/api'
import { deleted } from '../../app/deleted-slice'
import { useAppDispatch } from '../../app/store'
import { kindWords } from '../../views/kind-words'
import { ShelfPlace } from './ShelfPlace'
import { onShelf } from './shelf-scale'

/** A measured thing without a cover: its outline to scale, and the way to cover it. */
export function ThingOnShelf({ thing }: { readonly thing: ThingRow }) {
  const [deleteThing, { isLoading }] = useDeleteThingMutation()
  const dispatch = useAppDispatch()
  const width = onShelf(firstReading(thing, 'width'))
  const height = onShelf(firstReading(thing, 'height'))
  const remove = async () => {
    await deleteThing({ id: thing.id, version: thing.version }).unwrap()
    dispatch(deleted({ kind: 'thing', id: thing.id, name: thing.name }))
  }
  return (
    <ShelfPlace
      picture={
        <svg width={width || 90} height={height || 130} aria-hidden className="block">
          <rect
            x={1}
            y={1}
            width={(width || 90) - 2}
            height={(height || 130) - 2}
            rx={3}
            fill="var(--cloth-inside)"
            stroke="var(--strong-rule)"
            strokeDasharray={width && height ? undefined : '4 4'}
          />
        </svg>
      }
    >
      <Link
        to={`/new?thing=${thing.id}`}
        className="font-semibold text-ink underline-offset-2 after:absolute after:inset-0 hover:underline"
      >
        {thing.name}
      </Link>
      <p className="text-sm text-soft">{kindWords[thing.object.kind].name}</p>
      <button
        className="absolute right-1 bottom-0 z-10 rounded-md p-2 text-soft opacity-0 group-hover:opacity-100 hover:text-bad focus-visible:opacity-100 [@media(hover:none)]:opacity-100"
        aria-label={`Delete ${thing.name}`}
        disabled={isLoading}
        onClick={() => void remove().catch(() => undefined)}
      >
        <Trash2 className="size-4" aria-hidden />
      </button>
    </ShelfPlace>
  )
}

function firstReading({ object, unit }: ThingRow, key: ReadingKey): Length {
  const [first] = object.readings?.[key] ?? []
  if (first === undefined) return zero
  const read = readLength(typeof first === 'object' ? first.value : first, unit, readingRanges[key])
  return read.ok ? read.length : zero
}

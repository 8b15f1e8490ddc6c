import { readLength, readingRanges, zero, type Length, type ReadingKey, type ThingRow } from '@snowdrift/core'
import { Link } from 'react-router'
import { useDeleteThingMutation } from '../../api/api'
import { deleted } from '../../app/deleted-slice'
import { useAppDispatch } from '../../app/store'
import { kindWords } from '../../views/kind-words'
import { DeleteButton } from './DeleteButton'
import { ShelfPlace } from './ShelfPlace'
import { onShelf } from './shelf-scale'

/** A measured thing without a cover: its outline to scale, and the way to cover it. */
export function ThingOnShelf({ thing }: { readonly thing: ThingRow }) {
  const [deleteThing, { isLoading, error }] = useDeleteThingMutation()
  const dispatch = useAppDispatch()
  const width = onShelf(firstReading(thing, 'width'))
  const height = onShelf(firstReading(thing, 'height'))
  const remove = async () => {
    const answer = await deleteThing({ id: thing.id, version: thing.version })
    if (answer.error) return
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
      <DeleteButton name={thing.name} busy={isLoading} error={error} onDelete={() => void remove()} />
    </ShelfPlace>
  )
}

function firstReading({ object, unit }: ThingRow, key: ReadingKey): Length {
  const [first] = object.readings?.[key] ?? []
  if (first === undefined) return zero
  const read = readLength(typeof first === 'object' ? first.value : first, unit, readingRanges[key])
  return read.ok ? read.length : zero
}

import { dimensionOf, listThings, readingsBehind, type Plan } from '@snowdrift/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { Length } from '../../../parts/Length'
import { useCover } from '../cover-context'
import { ReadingList } from '../measure/ReadingList'
import type { OpenedFollowing } from './opened'
import { PictureCard } from './PictureCard'

interface FollowsCardProps {
  readonly opened: OpenedFollowing
  readonly plan: Plan
  readonly onClose: () => void
}

/** More would hide the picture. */
const mostShown = 3

/** A size that no setting decides: what was measured that it follows, to be read again and typed where it stands. */
export default function FollowsCard({
  opened: { dimension, name, anchor },
  plan,
  onClose,
}: FollowsCardProps) {
  const cover = useCover()
  const { id, unit, planned } = cover
  // What it follows stays the same while one types.
  const [behind] = useState(() => {
    const { cover: read, plan: before } = planned
    return read && before ? readingsBehind(read, before, dimension).slice(0, mostShown) : []
  })
  const isOne = listThings(cover.file).length === 1
  const length = dimensionOf(plan.strip, dimension)
  return (
    <PictureCard label={name} anchor={anchor} onClose={onClose}>
      <div className="grid gap-3">
        <p>
          <span className="font-medium">{name}</span>
          {length !== undefined && (
            <>
              {' '}
              <Length value={length} unit={unit} />
            </>
          )}
          <span className="text-soft">
            {behind.length > 0
              ? ': it follows what was measured.'
              : ': it follows from the way of making, and from nothing that is measured.'}
          </span>
        </p>
        {isOne &&
          behind.map(({ reading }) => (
            <ReadingList key={reading} measured={cover} thing={0} reading={reading} onFocus={nothing} />
          ))}
        {behind.length > 0 && (
          <Link to={`/covers/${id}/measure`} className="text-thread underline">
            All that was measured
          </Link>
        )}
      </div>
    </PictureCard>
  )
}

function nothing(): void {
  // the picture beside it goes on showing the cover
}

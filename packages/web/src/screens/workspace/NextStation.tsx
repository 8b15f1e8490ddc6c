import { ArrowRight } from 'lucide-react'
import { memo } from 'react'
import { Link } from 'react-router'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { useCover } from './cover-context'
import { nextOf, stateOf, stationWords, type Station } from './stations'

/**
 * The way on from a station: the one thing to do next, once this one is settled. On a wide screen it stands at the foot of
 * the column, always in sight: what is still being reckoned above it comes in without moving it away from under the hand.
 */
export function NextStation({ here }: { readonly here: Station }) {
  const { id, planned } = useCover()
  // no list for the table of what cannot be cut
  if (here === 'make' && !planned.plan) return null
  return <WayOn {...wayOnFrom(here, id)} isOpen={stateOf(here, planned) === 'waits'} />
}

/** Before the making comes the list for the table; after the log there is nothing more to do with a cover. */
function wayOnFrom(here: Station, id: string): Pick<WayOnProps, 'to' | 'words'> {
  if (here === 'log') return { to: '/', words: 'the shelf' }
  const next = here === 'make' ? undefined : nextOf(here)
  if (!next) return { to: `/covers/${id}/cutting-list`, words: 'the cutting list' }
  return { to: `/covers/${id}/${next}`, words: stationWords[next].toLowerCase() }
}

interface WayOnProps {
  readonly to: string
  readonly words: string
  readonly isOpen: boolean
}

const WayOn = memo(function WayOn({ to, words, isOpen }: WayOnProps) {
  return (
    <p className="z-10 mt-8 flex justify-end lg:sticky lg:-bottom-6 lg:-mx-6 lg:-mb-6 lg:border-t lg:border-rule lg:bg-ground lg:px-6 lg:py-2.5">
      <Link
        to={to}
        data-next-station
        className={`${buttonShape} ${isOpen ? buttonLooks.plain : buttonLooks.act}`}
      >
        Next: {words}
        <ArrowRight className="size-4" aria-hidden />
      </Link>
    </p>
  )
})

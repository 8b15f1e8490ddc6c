import { ArrowRight } from 'lucide-react'
import { memo } from 'react'
import { Link } from 'react-router'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { useCover } from './cover-context'
import { nextOf, stateOf, stationWords, type Station } from './stations'

/** The way on from a station: the one thing to do next, once this one is settled. */
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
    <p className="mt-8 flex justify-end">
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

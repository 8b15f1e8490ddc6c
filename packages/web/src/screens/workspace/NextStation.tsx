import { ArrowRight } from 'lucide-react'
import { memo } from 'react'
import { Link } from 'react-router'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { useCover } from './cover-context'
import { nextOf, stateOf, stationWords, type Station } from './stations'

/** The way on from a station: the one thing to do next, once this one is settled; from the making, the list for the table. */
export function NextStation({ here }: { readonly here: Station }) {
  const { id, planned } = useCover()
  // before the making comes the list for the table; after the log there is nothing more to do here
  const next = here === 'make' ? undefined : nextOf(here)
  const isOpen = stateOf(here, planned) === 'waits'
  const to = next ? `/covers/${id}/${next}` : here === 'log' ? '/' : `/covers/${id}/cutting-list`
  const words = next ? stationWords[next].toLowerCase() : here === 'log' ? 'the shelf' : 'the cutting list'
  return <WayOn to={to} words={words} isOpen={isOpen} />
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

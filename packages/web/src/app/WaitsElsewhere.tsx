import { Bell } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link, useLocation } from 'react-router'
import { Button } from '../parts/Button'
import { Fractions } from '../parts/Fractions'
import { ring } from '../screens/bench/ring'
import { sinceWords } from '../screens/bench/wait-words'
import { overAt, readWaits } from './kept-waits'

const lookEveryMs = 2000

/** A wait that is over rings on every screen, whichever bench it belongs to; that bench rings by itself. */
export default function WaitsElsewhere() {
  const [now, setNow] = useState(() => Date.now())
  const [silenced, setSilenced] = useState<ReadonlySet<string>>(new Set())
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), lookEveryMs)
    return () => clearInterval(timer)
  }, [])
  const { pathname } = useLocation()
  const shown = /^\/covers\/([^/]+)\/bench$/.exec(pathname)?.[1]
  const over = overAt(readWaits(), now, shown).filter(wait => !silenced.has(keyOf(wait)))
  const rings = over.length > 0
  useEffect(() => (rings ? ring() : undefined), [rings])
  if (!rings) return null
  return (
    <ul
      className="no-print fixed inset-x-0 bottom-4 mx-auto grid w-max max-w-[92vw] gap-2"
      aria-label="Waits"
    >
      {over.map(wait => (
        <li
          key={keyOf(wait)}
          role="alert"
          data-wait-over={wait.step}
          className="flex flex-wrap items-center gap-3 rounded-md border border-thread bg-thread-soft px-4 py-2 shadow-md"
        >
          <Bell className="size-5 text-thread" aria-hidden />
          <span>
            <Fractions text={wait.name} />: <strong>{sinceWords(now - Date.parse(wait.endsAt))}</strong>
          </span>
          <Link className="text-thread underline" to={`/covers/${wait.cover}/bench`}>
            To the bench
          </Link>
          <Button small look="quiet" onClick={() => setSilenced(before => new Set(before).add(keyOf(wait)))}>
            Not now
          </Button>
        </li>
      ))}
    </ul>
  )
}

function keyOf({ cover, step, endsAt }: ReturnType<typeof readWaits>[number]): string {
  return `${cover} ${step} ${endsAt}`
}

import { CircleAlert, CircleCheck, CircleDashed, Info } from 'lucide-react'
import { NavLink } from 'react-router'
import { useCover } from './cover-context'
import {
  stateOf,
  stations,
  stationStateWords,
  stationWords,
  type Station,
  type StationState,
} from './stations'

const looks: Readonly<Record<StationState, { Icon: typeof Info; tone: string }>> = {
  waits: { Icon: CircleDashed, tone: 'text-soft' },
  settled: { Icon: CircleCheck, tone: 'text-good' },
  advice: { Icon: Info, tone: 'text-soft' },
  warning: { Icon: CircleAlert, tone: 'text-caution' },
  error: { Icon: CircleAlert, tone: 'text-bad' },
}

/** The path through the work: where one is, what is settled, what waits, what has something to say. */
export function StationPath({ here }: { readonly here: Station }) {
  const { id, planned } = useCover()
  return (
    <nav aria-label="Stations" className="sticky top-0 z-20 border-b border-rule bg-ground px-1 sm:px-4">
      <ol className="flex overflow-x-auto">
        {stations.map(station => {
          const state = stateOf(station, planned)
          const { Icon, tone } = looks[state]
          return (
            <li key={station} className="max-sm:flex-1" ref={station === here ? bringIntoSight : undefined}>
              <NavLink
                to={`/covers/${id}/${station}`}
                aria-label={`${stationWords[station]}: ${stationStateWords[state]}`}
                aria-current={station === here ? 'step' : undefined}
                className={`relative flex items-center gap-1 px-1.5 py-3 whitespace-nowrap no-underline max-sm:flex-col max-sm:gap-0.5 max-sm:px-0.5 max-sm:py-1.5 max-sm:text-xs sm:gap-1.5 sm:px-3 ${station === here ? 'font-semibold text-ink' : 'text-soft hover:text-ink'}`}
              >
                <Icon className={`size-4 ${tone}`} aria-hidden />
                {stationWords[station]}
                {station === here && (
                  <span aria-hidden className="stitched absolute inset-x-2 bottom-0 h-0.75" />
                )}
              </NavLink>
            </li>
          )
        })}
      </ol>
    </nav>
  )
}

/** On a narrow screen the path runs out at the side: the station that one is at is in sight. */
function bringIntoSight(step: HTMLLIElement | null): void {
  const path = step?.parentElement
  if (!step || !path) return
  const over = step.offsetLeft + step.offsetWidth - path.clientWidth
  if (over > path.scrollLeft) path.scrollLeft = over
}

import { CircleAlert, CircleCheck, CircleDashed, Info } from 'lucide-react'
import { memo } from 'react'
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
        {stations.map(station => (
          <Step
            key={station}
            id={id}
            station={station}
            state={stateOf(station, planned)}
            isHere={station === here}
          />
        ))}
      </ol>
    </nav>
  )
}

interface StepProps {
  readonly id: string
  readonly station: Station
  readonly state: StationState
  readonly isHere: boolean
}

/** Drawn anew only when it says something else: a link works out where it leads each time. */
const Step = memo(function Step({ id, station, state, isHere }: StepProps) {
  const { Icon, tone } = looks[state]
  return (
    <li className="max-sm:flex-1" ref={isHere ? bringIntoSight : undefined}>
      <NavLink
        to={`/covers/${id}/${station}`}
        aria-label={`${stationWords[station]}: ${stationStateWords[state]}`}
        aria-current={isHere ? 'step' : undefined}
        className={`relative flex items-center gap-1 px-1.5 py-3 whitespace-nowrap no-underline max-sm:flex-col max-sm:gap-0.5 max-sm:px-0.5 max-sm:py-1.5 max-sm:text-xs sm:gap-1.5 sm:px-3 ${isHere ? 'font-semibold text-ink' : 'text-soft hover:text-ink'}`}
      >
        <Icon className={`size-4 ${tone}`} aria-hidden />
        {stationWords[station]}
        {isHere && <span aria-hidden className="stitched absolute inset-x-2 bottom-0 h-0.75" />}
      </NavLink>
    </li>
  )
})

/** On a narrow screen the path runs out at the side: the station that one is at is in sight. */
function bringIntoSight(step: HTMLLIElement | null): void {
  const path = step?.parentElement
  if (!step || !path) return
  const over = step.offsetLeft + step.offsetWidth - path.clientWidth
  if (over > path.scrollLeft) path.scrollLeft = over
}

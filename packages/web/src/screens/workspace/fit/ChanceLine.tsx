import {
  checkSimulation,
  describeFinding,
  judgedIn,
  sayProperly,
  type Finding,
  type Simulation,
  type Unit,
} from '@snowdrift/core'
import { FindingNote } from '../../../parts/FindingNote'
import { RunProgress } from '../../../parts/RunProgress'
import { percent, sayChance, sayFailures } from '../../../views/chance-words'
import { estimateChance } from '../../../views/estimate-chance'
import { useCover } from '../cover-context'
import type { AskedChance } from './use-chance'

/** The chance in one plain sentence, and how far the reckoning is. */
export function ChanceLine({ chance }: { readonly chance: AskedChance }) {
  const { planned, unit } = useCover()
  const { cover, plan } = planned
  if (!cover || !plan) return null
  const inTheWay = checkSimulation(cover, plan)
  if (inTheWay.length > 0)
    return inTheWay.map(finding =>
      finding.code === 'no-fit' ? (
        <NoFit key={finding.code} finding={finding} unit={unit} />
      ) : (
        <FindingNote key={finding.about} finding={finding} unit={unit} />
      ),
    )
  const { simulation, progress, stop } = chance
  const now = simulation && estimateChance(simulation, judgedIn(plan).fits)
  return (
    <section aria-label="Chance of fitting" className="grid gap-2">
      <p role="status" className="min-h-16 text-2xl font-semibold" data-chance={now}>
        {simulation && now !== undefined
          ? sayChance({ chance: now, makes: simulation.makes })
          : 'Making it many times over …'}
      </p>
      {/* Room is kept for two lines: nothing may move away from under a hand that works the sliders. */}
      <div className="min-h-12">{simulation && <Failures simulation={simulation} />}</div>
      <div className="flex h-6 items-center gap-3 text-sm text-soft">
        <RunProgress
          progress={progress}
          label="Makes reckoned"
          onStop={stop}
          stopped="Stopped. Any change reckons it again."
          done={
            simulation &&
            `${simulation.makes.toLocaleString('en')} makes, each measured, cut and sewn a little off.`
          }
        />
      </div>
    </section>
  )
}

/** Nothing to warn of: it is only another way of making. */
function NoFit({ finding, unit }: { readonly finding: Finding; readonly unit: Unit }) {
  const { message, hint } = describeFinding(finding, sayProperly(unit))
  return (
    <section aria-label="Chance of fitting" className="grid gap-2">
      <p role="status" className="text-xl font-semibold">
        {message}
      </p>
      <p className="text-soft">{hint}</p>
    </section>
  )
}

function Failures({ simulation }: { readonly simulation: Simulation }) {
  const failures = sayFailures(simulation)
  const { serves } = simulation
  return (
    <>
      {failures.length > 0 && <p className="text-soft">Of all makes, {failures.join(', ')}.</p>}
      {serves.length > 1 && (
        <ul className="flex flex-wrap gap-x-4 text-soft">
          {serves.map(({ book, chance }) => (
            <li key={book}>
              book {book}: {percent(chance)}
            </li>
          ))}
        </ul>
      )}
    </>
  )
}

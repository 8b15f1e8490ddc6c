import { applyRepair, topOfPath, type Issue } from '@snowdrift/core'
import { oneStep } from '../../../drafts/draft'
import { FindingNote } from '../../../parts/FindingNote'
import { useCover } from '../cover-context'
import { Departures } from '../LastTime'
import { NotYet } from '../NotYet'
import { stationOf } from '../stations'
import { ChanceLine } from './ChanceLine'
import { EaseCharts } from './EaseCharts'
import { EaseSliders } from './EaseSliders'
import { HandNote } from './HandNote'
import { HowExact } from './HowExact'
import { Sources } from './Sources'
import { TrialPiece } from './TrialPiece'
import { useChance } from './use-chance'
import { useWhatIf } from './use-what-if'
import { WhatIfPanel } from './WhatIfPanel'

/** Will it fit? The chance, what it hangs on, the ease to aim at, what if, and a trial piece. */
export function FitStation() {
  const { file, planned, unit, change } = useCover()
  const chosen = useWhatIf()
  const chance = useChance(file, { whatIf: chosen.ids, remedies: true })
  const { cover, plan } = planned
  if (!cover || !plan) {
    // What was tried is typed here: its fields stay while it cannot be read.
    const isTrial = cover !== undefined && planned.missing.length === 0 && planned.issues.every(isOfTrial)
    return (
      <div className="grid gap-8">
        <NotYet key="not-yet">The chance is reckoned as soon as everything it needs can be read.</NotYet>
        {isTrial && <TrialPiece key="trial" cover={cover} plan={undefined} simulation={undefined} />}
      </div>
    )
  }
  const { simulation, progress } = chance
  // The first answer is long: what stands below it would move away from under a hand.
  const isFirst = !simulation && typeof progress === 'number'
  return (
    <div className="grid gap-8">
      <h2 className="sr-only">Fit</h2>
      <ChanceLine chance={chance} />
      <HandNote />
      <Departures />
      {plan.findings
        .filter(finding => stationOf(finding) === 'fit')
        .map(finding => (
          <FindingNote
            key={`${finding.code} ${finding.about}`}
            finding={finding}
            unit={unit}
            onRepair={repair => change(oneStep, current => applyRepair(current, repair))}
          />
        ))}
      {simulation && (
        <>
          <EaseSliders simulation={simulation} />
          <EaseCharts directions={simulation.directions} makes={simulation.makes} unit={unit} />
          {simulation.exactness && <HowExact exactness={simulation.exactness} unit={unit} />}
          <Sources simulation={simulation} remedies={chance.remedies} unit={unit} />
        </>
      )}
      {isFirst && <div className="h-dvh" aria-hidden />}
      {plan.fits.length > 0 && <WhatIfPanel chosen={chosen} chance={chance} cover={cover} plan={plan} />}
      {plan.fits.length > 0 && <TrialPiece key="trial" cover={cover} plan={plan} simulation={simulation} />}
    </div>
  )
}

function isOfTrial({ path }: Issue): boolean {
  return topOfPath(path) === 'trial'
}

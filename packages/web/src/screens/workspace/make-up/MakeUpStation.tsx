import { applyRepair, kindOfSubject, type Finding } from '@snowdrift/core'
import { oneStep } from '../../../drafts/draft'
import { FindingNote } from '../../../parts/FindingNote'
import { useCover } from '../cover-context'
import { Regrets } from '../LastTime'
import { stationOf } from '../stations'
import { ExtrasEditor } from './ExtrasEditor'
import { LimitPanel } from './LimitPanel'
import { OptionsForm } from './OptionsForm'
import { SizingChoice } from './SizingChoice'
import { WayOfMaking } from './WayOfMaking'

/** How the cover is made: the way of making, how its size is found, its options, what is added. */
export function MakeUpStation() {
  const { planned, unit, change } = useCover()
  const about = planned.plan?.findings.filter(isAboutWhole) ?? []
  return (
    <div className="grid gap-8">
      <h2 className="sr-only">Make-up</h2>
      <Regrets />
      <WayOfMaking />
      {about.length > 0 && (
        <div className="grid gap-3">
          {about.map((finding, index) => (
            <FindingNote
              key={`${finding.code} ${finding.about} ${index}`}
              finding={finding}
              unit={unit}
              onRepair={repair => change(oneStep, current => applyRepair(current, repair))}
            />
          ))}
        </div>
      )}
      <SizingChoice />
      <OptionsForm />
      <ExtrasEditor />
      <LimitPanel />
    </div>
  )
}

/** Findings about an option or an extra stand beside it; what is said of the fit is decided here, so it stands here too. */
function isAboutWhole(finding: Finding): boolean {
  if (stationOf(finding) === 'fit') return true
  const kind = kindOfSubject(finding.about)
  return stationOf(finding) === 'make-up' && kind !== 'option' && kind !== 'extra'
}

import { oneStep } from '../../../drafts/draft'
import { applyRepair, families, type Finding } from '@snowdrift/core'
import { FindingNote } from '../../../parts/FindingNote'
import { useCover } from '../cover-context'
import { stationOf } from '../stations'
import { ExtrasEditor } from './ExtrasEditor'
import { OptionsForm } from './OptionsForm'
import { SizingChoice } from './SizingChoice'

/** How the cover is made: the way of making, how its size is found, its options, what is added. */
export function MakeUpStation() {
  const { file, planned, unit, change } = useCover()
  const family = families.find(({ id }) => id === file.family)
  const about = planned.plan?.findings.filter(isAboutWhole) ?? []
  return (
    <div className="grid gap-8">
      <h2 className="sr-only">Make-up</h2>
      <section>
        <h3 className="text-lg font-semibold">{family?.words.name}</h3>
        <p className="text-soft">{family?.words.summary}</p>
      </section>
      {about.length > 0 && (
        <div className="grid gap-3">
          {about.map(finding => (
            <FindingNote
              key={finding.code + finding.about}
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
    </div>
  )
}

/** Findings about an option stand beside it. */
function isAboutWhole(finding: Finding): boolean {
  return stationOf(finding) === 'make-up' && !finding.about.startsWith('option:')
}

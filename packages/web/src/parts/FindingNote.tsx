import {
  describeFinding,
  describeRepair,
  sayProperly,
  severityIn,
  type Finding,
  type Repair,
  type Severity,
  type Unit,
} from '@snowdrift/core'
import { Info, OctagonAlert, TriangleAlert } from 'lucide-react'
import { Button } from './Button'
import { Fractions } from './Fractions'

interface FindingNoteProps {
  readonly finding: Finding
  readonly unit: Unit
  readonly onRepair?: (repair: Repair) => void
}

export const severityWords: Readonly<Record<Severity, string>> = {
  error: 'Cannot be made',
  warning: 'Warning',
  advice: 'Worth knowing',
}

const looks = {
  error: { Icon: OctagonAlert, tone: 'text-bad', bar: 'border-bad' },
  warning: { Icon: TriangleAlert, tone: 'text-caution', bar: 'border-caution' },
  advice: { Icon: Info, tone: 'text-soft', bar: 'border-strong-rule' },
} as const

/** One finding: what was expected and found, what to do, and its repair as a button where there is one. */
export function FindingNote({ finding, unit, onRepair }: FindingNoteProps) {
  const severity = severityIn(finding)
  const { Icon, tone, bar } = looks[severity]
  const say = sayProperly(unit)
  const { message, hint } = describeFinding(finding, say)
  const { repair } = finding
  return (
    <div className={`flex gap-2 border-l-3 py-1 pl-3 ${bar}`} data-finding={finding.code}>
      <Icon className={`mt-1 size-4 shrink-0 ${tone}`} aria-label={severityWords[severity]} />
      <div className="grid gap-0.5">
        <p className="font-medium">
          <Fractions text={message} />
        </p>
        <p className="text-sm text-soft">
          <Fractions text={hint} />
        </p>
        {repair && onRepair && (
          <div>
            <Button className="mt-1" onClick={() => onRepair(repair)}>
              <span>
                <Fractions text={describeRepair(repair, say)} />
              </span>
            </Button>
          </div>
        )}
      </div>
    </div>
  )
}

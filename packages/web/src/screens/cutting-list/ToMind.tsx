import {
  describeFinding,
  sayProperly,
  severityIn,
  type Finding,
  type Plan,
  type Severity,
  type Unit,
} from '@snowdrift/core'
import { Fractions } from '../../parts/Fractions'
import { headlineOf } from '../../views/verdict-words'
import { capital } from '../../views/capital'

interface PlanProps {
  readonly plan: Plan
  readonly unit: Unit
}

/** Where the cover cannot be made as it stands, that is the first thing on paper, large, with the reason. */
export function InTheWay({ plan, unit }: PlanProps) {
  const errors = of(plan, 'error')
  if (errors.length === 0) return null
  const { words } = headlineOf(plan)
  return (
    <section className="keep-together my-4 border-4 border-current p-4 text-bad" aria-label="In the way">
      <p className="text-4xl font-bold">{capital(words)}</p>
      <Findings findings={errors} unit={unit} className="mt-2 text-lg" />
    </section>
  )
}

/** What is to be minded while it is cut and made: the warnings, then what is worth knowing. */
export function ToMind({ plan, unit }: PlanProps) {
  const [warnings, advice] = [of(plan, 'warning'), of(plan, 'advice')]
  if (warnings.length + advice.length === 0) return null
  return (
    <section className="keep-together mt-6" aria-label="To mind">
      <h2 className="text-lg font-semibold">To mind</h2>
      <Findings findings={warnings} unit={unit} mark="!" />
      <Findings findings={advice} unit={unit} />
    </section>
  )
}

function of({ findings }: Plan, severity: Severity): readonly Finding[] {
  return findings.filter(finding => severityIn(finding) === severity)
}

interface FindingsProps {
  readonly findings: readonly Finding[]
  readonly unit: Unit
  readonly mark?: string
  readonly className?: string
}

function Findings({ findings, unit, mark = '', className = '' }: FindingsProps) {
  return (
    <ul className={`grid gap-1 ${className}`}>
      {findings.map((finding, index) => {
        const { message, hint } = describeFinding(finding, sayProperly(unit))
        return (
          <li key={index} data-finding={finding.code}>
            {mark && <strong>{mark} </strong>}
            <span className="font-medium">
              <Fractions text={message} />
            </span>{' '}
            <span className="text-soft">
              <Fractions text={hint} />
            </span>
          </li>
        )
      })}
    </ul>
  )
}

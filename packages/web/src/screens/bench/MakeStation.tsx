import { checkReach, isDone, nextStep } from '@snowdrift/core'
import { Box, Hammer, Printer } from 'lucide-react'
import { Link } from 'react-router'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { FindingNote } from '../../parts/FindingNote'
import { SchoolChoices } from './SchoolChoices'
import { StepList } from './StepList'
import { useMaking } from './use-making'

/** The making, seen from the plan: how long it takes, where makers differ, every step; and the way to the table. */
export function MakeStation({ id }: { readonly id: string }) {
  const bench = useMaking(id)
  if (bench === undefined) return <p className="text-soft">Fetching the steps …</p>
  if (bench === 'not-planned')
    return <p className="text-soft">The steps are there as soon as the cover can be made.</p>
  const { steps } = bench.making
  const done = steps.filter(step => isDone(bench.progress, step.id)).length
  const next = nextStep(bench.progress, steps)
  return (
    <div className="grid gap-6">
      <h2 className="sr-only">Make</h2>
      <div className="flex flex-wrap gap-3">
        <Link to={`/covers/${id}/bench`} className={`${buttonShape} ${buttonLooks.act}`} data-to-the-table>
          <Hammer className="size-4" aria-hidden /> {done === 0 ? 'Begin at the table' : 'Go on at the table'}
        </Link>
        <Link to={`/covers/${id}/steps`} className={`${buttonShape} ${buttonLooks.plain}`}>
          <Printer className="size-4" aria-hidden /> Steps to print
        </Link>
        <Link to={`/covers/${id}/folded`} className={`${buttonShape} ${buttonLooks.plain}`}>
          <Box className="size-4" aria-hidden /> See it come together
        </Link>
      </div>
      {done > 0 && next && (
        <p>
          {done} of {steps.length} done; next: {next.name}.
        </p>
      )}
      {checkReach(bench.plan, bench.hands).map(finding => (
        <FindingNote key={finding.code} finding={finding} unit={bench.unit} />
      ))}
      <SchoolChoices bench={bench} />
      <StepList bench={bench} />
    </div>
  )
}

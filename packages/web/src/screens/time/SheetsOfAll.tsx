import { mostSheets } from '@snowdrift/core'
import { Printer } from 'lucide-react'
import { Button } from '../../parts/Button'
import { WritingProgress } from '../../parts/WritingProgress'
import { useErrand } from '../../parts/use-errand'
import { useWorkshopUnit } from '../../views/use-workshop-unit'

/** The project sheets of what is planned as one file, to be printed in one go. */
export function SheetsOfAll({ ids }: { readonly ids: readonly string[] }) {
  const { now, start, stop } = useErrand()
  const paper = useWorkshopUnit(undefined) === 'in' ? 'letter' : 'a4'
  return (
    <>
      <Button
        disabled={now.state === 'running' || ids.length > mostSheets}
        onClick={() => void start({ kind: 'sheets', covers: [...ids], paper }, 'project-sheets.pdf')}
      >
        <Printer className="size-4" aria-hidden /> All their sheets
      </Button>
      <WritingProgress now={now} label="Writing the sheets" onStop={stop} />
      {ids.length > mostSheets && (
        <span className="text-sm text-soft">{mostSheets} sheets at most are written in one go.</span>
      )}
    </>
  )
}

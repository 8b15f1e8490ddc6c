import type { MaterialRow, StashPieceRow } from '@snowdrift/core'
import { Undo2 } from 'lucide-react'
import { useMemo, useState } from 'react'
import { useMaterialsQuery, useStashPiecesQuery } from '../../../api/api'
import { showBesideLayout } from '../../../app/beside-slice'
import { useAppDispatch, useAppSelector } from '../../../app/store'
import { Button } from '../../../parts/Button'
import { CheckField } from '../../../parts/CheckField'
import { ConflictNotice } from '../../../parts/ConflictNotice'
import { IconButton } from '../../../parts/IconButton'
import { RunProgress } from '../../../parts/RunProgress'
import { SavingState } from '../../../parts/SavingState'
import { Toggle } from '../../../parts/Toggle'
import { useCover } from '../cover-context'
import { CutTogether } from './CutTogether'
import { groupJobs, jobsToLay } from './group-job'
import { NotYet } from '../NotYet'
import { GroupLayout } from './GroupLayout'
import { Shopping } from './Shopping'
import { useCoversToCut } from './use-covers-to-cut'
import { useCutting, type Cutting } from './use-cutting'
import { useLayouts } from './use-layouts'

const usualBudgetMs = 2000
const longBudgetMs = 15_000

/** The pieces on the cloth: from the stash first, the rest to be bought; what is dragged stays, the rest flows round it. */
export function LayoutStation() {
  const { id, planned } = useCover()
  const cutting = useCutting(id)
  const { data: materials } = useMaterialsQuery()
  const { data: pieces } = useStashPiecesQuery()
  if (!planned.plan)
    return <NotYet>The pieces are laid out as soon as everything it needs can be read.</NotYet>
  if (!cutting || !materials || !pieces) return <p className="text-soft">Fetching the stash …</p>
  return <LaidOut cutting={cutting} materials={materials} pieces={pieces} />
}

interface LaidOutProps {
  readonly cutting: Cutting
  readonly materials: readonly MaterialRow[]
  readonly pieces: readonly StashPieceRow[]
}

function LaidOut({ cutting, materials, pieces }: LaidOutProps) {
  const { id, file, planned, unit } = useCover()
  const written = file.unit ?? 'in'
  const { draft, plan, change, undo } = cutting
  const isBeside = useAppSelector(state => state.beside.layout)
  const dispatch = useAppDispatch()
  const [budgetMs, setBudgetMs] = useState(usualBudgetMs)
  const covers = useCoversToCut(plan.coverIds, { id, file, planned })
  const groups = useMemo(
    () => groupJobs(covers, plan, { materials, pieces }, { unit, written, budgetMs }),
    [covers, plan, materials, pieces, unit, written, budgetMs],
  )
  const jobs = useMemo(() => jobsToLay(groups, plan), [groups, plan])
  const { byKey, progress, stop } = useLayouts(jobs)
  const longer = budgetMs < longBudgetMs && (
    <Button look="quiet" small onClick={() => setBudgetMs(longBudgetMs)}>
      Look longer
    </Button>
  )
  return (
    <div className="grid gap-8">
      {draft.conflict && <ConflictNotice what="This layout was" draft={draft} current={draft.conflict} />}
      <div className="grid gap-3">
        <div className="flex flex-wrap items-center gap-3">
          <h2 className="text-xl font-semibold">Cutting layout</h2>
          <Toggle
            label="Cut with"
            value={plan.cuts}
            choices={{ scissors: 'Scissors', rotary: 'Rotary cutter' }}
            onChange={cuts => change(before => ({ ...before, cuts }))}
          />
          <span className="flex-1" />
          <span className="max-lg:hidden">
            <CheckField
              label="The cover beside it"
              checked={isBeside}
              onChange={shown => dispatch(showBesideLayout(shown))}
            />
          </span>
          <SavingState draft={draft} label="Saving of the layout" />
          <IconButton
            icon={Undo2}
            label="Undo the last change of the layout"
            disabled={!undo}
            onClick={undo}
          />
        </div>
        <div className="flex h-7 items-center gap-3 text-sm text-soft" data-layout={String(progress)}>
          <RunProgress
            progress={progress}
            label="Layouts tried"
            onStop={stop}
            stopped={<>Stopped; the best so far is shown. {longer}</>}
            done={<>Laid out. {longer}</>}
          />
        </div>
        <CutTogether coverId={id} plan={plan} change={change} />
      </div>
      {groups.map(job => (
        <GroupLayout key={job.group.key} job={job} layout={byKey[job.group.key]} cutting={cutting} />
      ))}
      <Shopping groups={groups} layouts={byKey} plan={plan} />
    </div>
  )
}

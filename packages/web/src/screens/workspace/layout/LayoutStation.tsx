import {
  comesInSheets,
  cutFrom,
  groupPieces,
  layoutRequestOf,
  readLength,
  mm,
  sheetToBuy,
  type CoverToCut,
  type CuttingGroup,
  type Length,
  type MaterialRow,
  type StashPieceRow,
  type Unit,
} from '@snowdrift/core'
import { Undo2 } from 'lucide-react'
import { useMemo, useState } from 'react'
import { useCoversByIdQuery, useMaterialsQuery, useStashPiecesQuery } from '../../../api/api'
import { Button } from '../../../parts/Button'
import { ConflictNotice } from '../../../parts/ConflictNotice'
import { SavingState } from '../../../parts/SavingState'
import { Toggle } from '../../../parts/Toggle'
import { plannedOf } from '../../../views/planned'
import { usualCloth } from '../../../views/cloth-words'
import { useCover } from '../cover-context'
import { CutTogether } from './CutTogether'
import type { GroupJob } from './group-job'
import { NotYet } from '../NotYet'
import { GroupLayout } from './GroupLayout'
import { Shopping } from './Shopping'
import { pinsOf, sourceOf, type Source } from './sources'
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
  const { id, file, unit } = useCover()
  const written = file.unit ?? 'in'
  const { draft, plan, change, undo } = cutting
  const [budgetMs, setBudgetMs] = useState(usualBudgetMs)
  const covers = useCoversToCut(plan.coverIds)
  const groups = useMemo(
    () =>
      groupPieces(covers).map((gathered): GroupJob => {
        const source = sourceOf(gathered, plan, materials, pieces)
        const group = source.material ? cutFrom(gathered, source.material.material) : gathered
        const request = layoutRequestOf(group, {
          cuts: plan.cuts,
          unit,
          sheets: source.sheets,
          ...(source.settings.buy && whatToBuy(group, source, unit, written)),
          pins: pinsOf(group, plan),
          budgetMs,
        })
        return { group, source, request }
      }),
    [covers, plan, materials, pieces, unit, written, budgetMs],
  )
  const jobs = useMemo(
    () =>
      groups.flatMap(({ group, request }) =>
        request && !plan.done.includes(group.key) ? [{ key: group.key, request }] : [],
      ),
    [groups, plan.done],
  )
  const { byKey, progress, stop } = useLayouts(jobs)
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
          <SavingState draft={draft} label="Saving of the layout" />
          <Button
            look="quiet"
            disabled={!undo}
            onClick={undo}
            aria-label="Undo the last change of the layout"
          >
            <Undo2 className="size-4" aria-hidden />
          </Button>
        </div>
        <Progress
          progress={progress}
          onStop={stop}
          onLonger={budgetMs < longBudgetMs ? () => setBudgetMs(longBudgetMs) : undefined}
        />
        <CutTogether coverId={id} plan={plan} change={change} />
      </div>
      {groups.map(job => (
        <GroupLayout key={job.group.key} job={job} layout={byKey[job.group.key]} cutting={cutting} />
      ))}
      <Shopping groups={groups} layouts={byKey} plan={plan} />
    </div>
  )
}

function Progress({
  progress,
  onStop,
  onLonger,
}: {
  readonly progress: number | 'done' | 'stopped'
  readonly onStop: () => void
  readonly onLonger: (() => void) | undefined
}) {
  return (
    <div className="flex h-7 items-center gap-3 text-sm text-soft" data-layout={String(progress)}>
      {typeof progress === 'number' ? (
        <>
          <progress
            className="h-1.5 w-40 accent-thread"
            aria-label="Layouts tried"
            value={progress}
            max={1}
          />
          <Button look="quiet" small onClick={onStop}>
            Stop
          </Button>
        </>
      ) : (
        <>
          {progress === 'stopped' ? 'Stopped; the best so far is shown.' : 'Laid out.'}
          {onLonger && (
            <Button look="quiet" small onClick={onLonger}>
              Look longer
            </Button>
          )}
        </>
      )}
    </div>
  )
}

/** The covers of a cutting as far as they can be planned; the one in hand as it is being changed. */
function useCoversToCut(coverIds: readonly string[]): readonly CoverToCut[] {
  const { id: ownId, file, planned } = useCover()
  const others = useMemo(() => coverIds.filter(id => id !== ownId).toSorted(), [coverIds, ownId])
  const { data: rows } = useCoversByIdQuery(others, { skip: others.length === 0 })
  return useMemo(
    () =>
      coverIds.flatMap((id): readonly CoverToCut[] => {
        const row = rows?.find(candidate => candidate.id === id)
        const own = id === ownId ? planned : row && plannedOf(row.file)
        const name = (id === ownId ? file.name : row?.file.name) ?? ''
        if (!own?.plan || !own.cover) return []
        return [{ id, name, pieces: own.plan.pieces, stack: own.cover.stack }]
      }),
    [coverIds, rows, ownId, file, planned],
  )
}

/** Board and card are bought in sheets, cloth off a bolt. */
function whatToBuy(group: CuttingGroup, source: Source, unit: Unit, written: Unit) {
  if (comesInSheets(group.role)) return { buySheet: sheetToBuy(group, source.settings.sheet) }
  return { buyWidth: widthToBuy(source, unit, written) }
}

/** The width of cloth to buy: the one typed, else that of the material, else what is usual. */
function widthToBuy({ settings, material }: Source, unit: Unit, written: Unit): Length {
  const range = { min: mm(10), max: mm(10_000) }
  const typed = settings.width === null ? undefined : readLength(settings.width, written, range)
  if (typed?.ok) return typed.length
  const own = material?.stock.width
  const known = own === undefined ? undefined : readLength(own, material?.unit ?? unit, range)
  if (known?.ok) return known.length
  const usual = readLength(usualCloth(unit), unit, range)
  return usual.ok ? usual.length : mm(1100)
}

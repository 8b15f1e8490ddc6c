import { isDone, nextStep, type Step } from '@snowdrift/core'
import { ArrowLeft, List } from 'lucide-react'
import { useEffect } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { SavingState } from '../../parts/SavingState'
import { InCloth } from '../../views/cloth/InCloth'
import { CoverAwaited } from '../../views/CoverAwaited'
import { plannedOf } from '../../views/planned'
import { usePageTitle } from '../../views/use-page-title'
import { AwakeNote } from './AwakeNote'
import { StepView } from './StepView'
import { useMaking, type OnTheBench } from './use-making'
import { Waits } from './Waits'

/** At the table: one step at a time, to be read at arm’s length. */
export function Screen() {
  const { id = '' } = useParams()
  const bench = useMaking(id)
  usePageTitle(typeof bench === 'object' ? (bench.file.name ?? '') : '', 'At the table')
  if (bench === undefined)
    return (
      <main className="p-8">
        <CoverAwaited id={id} what="the steps" />
      </main>
    )
  if (bench === 'not-planned')
    return (
      <main className="grid gap-3 p-8">
        <h1 className="text-2xl font-semibold">Nothing to make yet</h1>
        <p>
          The steps are there as soon as the cover can be made: a reading is still missing, or a piece of it
          comes out at nothing.
        </p>
        <Link className="text-thread underline" to={`/covers/${id}`}>
          To the cover
        </Link>
      </main>
    )
  return (
    <InCloth coverId={id} planned={plannedOf(bench.file)}>
      <Bench bench={bench} />
    </InCloth>
  )
}

function Bench({ bench }: { readonly bench: OnTheBench }) {
  const { id, file, making, progress, draft, change } = bench
  useEffect(() => {
    // From here on other devices find it, and this one finds what they do.
    if (draft.version === 0 && !draft.dirty) change(begun => ({ ...begun }))
  }, [draft, change])
  const { steps } = making
  const [place, setPlace] = useSearchParams()
  const asked = steps.find(step => step.id === place.get('step'))
  const step = asked ?? nextStep(progress, steps) ?? steps.at(-1)
  if (!step) return null
  const goTo = (next: Step | undefined) => {
    if (next) setPlace({ step: next.id }, { replace: true })
  }
  const done = steps.filter(known => isDone(progress, known.id)).length
  return (
    <main className="flex h-[calc(100dvh-3.25rem)] flex-col">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-4 py-2 sm:px-6">
        <Link to={`/covers/${id}/make`} className="inline-flex min-h-9 items-center gap-1 text-soft">
          <ArrowLeft className="size-4" aria-hidden /> {file.name || 'The cover'}
        </Link>
        <span className="flex-1" />
        <SavingState draft={draft} label="Saving of the progress" />
        <AwakeNote />
        <Link
          to={`/covers/${id}/make`}
          className="inline-flex min-h-9 items-center gap-1 text-thread underline"
        >
          <List className="size-4" aria-hidden /> All steps
        </Link>
      </div>
      <div className="flex items-center gap-3 px-4 pt-2 sm:px-6">
        <div
          role="progressbar"
          aria-label="Steps done"
          aria-valuenow={done}
          aria-valuemin={0}
          aria-valuemax={steps.length}
          className="h-1.5 flex-1 overflow-hidden rounded-full bg-rule"
        >
          <div className="h-full bg-thread" style={{ width: `${(100 * done) / steps.length}%` }} />
        </div>
        <span className="text-soft tabular-nums" data-count>
          {done} of {steps.length}
        </span>
      </div>
      <Waits bench={bench} />
      <StepView key={step.id} bench={bench} step={step} onGo={goTo} />
    </main>
  )
}

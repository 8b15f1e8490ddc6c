import { isDone, noProgress, type Progress } from '@snowdrift/core'
import { BookOpenCheck, RotateCcw } from 'lucide-react'
import { useState } from 'react'
import { v4 as newId } from 'uuid'
import { useCreateMakeMutation, useMakesQuery } from '../../api/log-api'
import { describeError } from '../../api/describe-error'
import { Button } from '../../parts/Button'
import { useMaking, type OnTheBench } from '../bench/use-making'
import { MakeInLog } from './MakeInLog'
import { useLogOf } from './use-log-of'

/** How the cover came out, each time it was made. */
export function LogStation({ id }: { readonly id: string }) {
  const bench = useMaking(id)
  const { data: makes, error } = useMakesQuery(undefined, { refetchOnMountOrArgChange: true })
  if (error) return <p role="alert">{describeError(error)}</p>
  if (bench === undefined || makes === undefined) return <p className="text-soft">Fetching the log …</p>
  const pieces = bench === 'not-planned' ? [] : bench.plan.pieces.map(piece => piece.id)
  const own = makes.filter(({ coverId }) => coverId === id)
  return (
    <div className="grid gap-8">
      <h2 className="sr-only">Log</h2>
      {bench === 'not-planned' ? (
        <p className="text-soft">What is made goes into the log, as soon as the cover is planned.</p>
      ) : (
        <PutIn bench={bench} isFirst={own.length === 0} />
      )}
      {own.map(make => (
        <MakeInLog key={make.id} row={make} pieces={pieces} />
      ))}
    </div>
  )
}

function PutIn({ bench, isFirst }: { readonly bench: OnTheBench; readonly isFirst: boolean }) {
  const [create, { isLoading, error }] = useCreateMakeMutation()
  const [makeId, setMakeId] = useState(() => newId())
  const logOf = useLogOf()
  const { steps } = bench.making
  const done = steps.filter(step => isDone(bench.progress, step.id)).length
  const put = async () => {
    const log = logOf(bench)
    if (!log) return
    const answer = await create({ id: makeId, body: { coverId: bench.id, log } })
    if (!answer.error) setMakeId(newId())
  }
  const again = () => {
    bench.change(progress => begunAnew(progress, new Date().toISOString()))
  }
  return (
    <section aria-label="Into the log" className="grid justify-items-start gap-3">
      {isFirst && (
        <p>
          {done === steps.length
            ? 'Everything is done. Put it into the log: sizes, times and mends are there already.'
            : 'Nothing is in the log yet. What the table knows by then goes with it: sizes, times, mends.'}
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <Button
          look={isFirst && done === steps.length ? 'act' : 'plain'}
          disabled={isLoading}
          onClick={() => void put()}
        >
          <BookOpenCheck className="size-4" aria-hidden />{' '}
          {isFirst ? 'Put it into the log' : 'Put another make into the log'}
        </Button>
        {!isFirst && done > 0 && (
          <Button onClick={again}>
            <RotateCcw className="size-4" aria-hidden /> Make it again from the first step
          </Button>
        )}
      </div>
      {error && <p role="alert">{describeError(error)}</p>}
    </section>
  )
}

/** Every step open, no size entered; said now, so that it counts on every device. */
function begunAnew(progress: Progress, at: string): Progress {
  const open = <Entry,>(entries: Readonly<Record<string, unknown>>, entry: Entry) =>
    Object.fromEntries(Object.keys(entries).map(key => [key, entry]))
  return {
    ...noProgress,
    steps: open(progress.steps, { at, state: 'open' as const }),
    waits: Object.fromEntries(
      Object.entries(progress.waits).map(([key, wait]) => [key, { ...wait, at, heard: true as const }]),
    ),
    made: open(progress.made, { at, typed: '' }),
    schools: progress.schools,
  }
}

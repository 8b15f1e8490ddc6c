import type { MakeBody, MakeRow } from '@snowdrift/core'
import { useDeleteMakeMutation } from '../../api/log-api'
import { describeError } from '../../api/describe-error'
import { deleted } from '../../app/deleted-slice'
import { useAppDispatch } from '../../app/store'
import type { Draft } from '../../drafts/draft'
import { standingOf } from '../../drafts/kinds'
import { useDraft, useDraftChanges } from '../../drafts/use-draft'
import { Button } from '../../parts/Button'
import { ConflictNotice } from '../../parts/ConflictNotice'
import { SavingState } from '../../parts/SavingState'
import { TextField } from '../../parts/TextField'
import { sayDay } from '../../views/day-words'
import type { ChangeLog } from './log-part'
import { HowItWent } from './HowItWent'
import { MendsAndTimes } from './MendsAndTimes'
import { NextTime } from './NextTime'
import { Photos } from './Photos'
import { ScrapCard } from './ScrapCard'

interface MakeInLogProps {
  readonly row: MakeRow
  /** What the cover is made of now: what a regret can be about. */
  readonly pieces: readonly string[]
}

/** One make: how it went on, what it took, what to do otherwise. */
export function MakeInLog({ row, pieces }: MakeInLogProps) {
  const draft = useDraft('make', row.id, standingOf('make', row))
  return draft ? <Make row={row} pieces={pieces} draft={draft} /> : null
}

function Make({ row, pieces, draft }: MakeInLogProps & { readonly draft: Draft<MakeBody> }) {
  const changes = useDraftChanges('make', row.id)
  const { log } = draft.body
  const change: ChangeLog = (key, make) => changes.change(key, body => ({ ...body, log: make(body.log) }))
  const part = { log, change }
  return (
    <article
      aria-label={`Made ${sayDay(log.finished)}`}
      className="grid gap-7 border-t border-rule pt-6"
      data-make={row.id}
    >
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h3 className="text-xl font-semibold">Made {sayDay(log.finished)}</h3>
        <span className="flex-1" />
        <SavingState draft={draft} label="Saving of the log" />
        <TakeOut row={row} name={log.name} />
      </header>
      {draft.conflict && <ConflictNotice what="This make was" draft={draft} current={draft.conflict} />}
      <HowItWent {...part} />
      <NextTime {...part} pieces={pieces} />
      <MendsAndTimes {...part} />
      <Photos {...part} makeId={row.id} />
      <ScrapCard {...part} />
      <section aria-label="Money" className="grid gap-4 sm:grid-cols-2">
        <TextField
          label="What it cost"
          optional
          value={log.cost}
          onChange={cost => change('cost', before => ({ ...before, cost }))}
        />
        <TextField
          label="What was paid for it"
          optional
          value={log.price}
          onChange={price => change('price', before => ({ ...before, price }))}
        />
      </section>
    </article>
  )
}

function TakeOut({ row, name }: { readonly row: MakeRow; readonly name: string }) {
  const [remove, { error, isLoading }] = useDeleteMakeMutation()
  const dispatch = useAppDispatch()
  const take = async () => {
    const answer = await remove({ id: row.id, version: row.version })
    if (!answer.error) dispatch(deleted({ kind: 'make', id: row.id, name: name || 'The make' }))
  }
  return (
    <>
      <Button look="quiet" disabled={isLoading} onClick={() => void take()}>
        Take it out
      </Button>
      {error && (
        <p role="alert" className="basis-full">
          {describeError(error)}
        </p>
      )}
    </>
  )
}

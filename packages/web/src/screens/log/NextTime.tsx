import { namePiece } from '@snowdrift/core'
import { Plus, X } from 'lucide-react'
import { useState } from 'react'
import { v4 as newId } from 'uuid'
import { oneStep } from '../../drafts/draft'
import { Button } from '../../parts/Button'
import { CheckField } from '../../parts/CheckField'
import { controlLook, Field } from '../../parts/Field'
import { SelectField } from '../../parts/SelectField'
import { IconButton } from '../../parts/IconButton'
import { NoteField } from '../../parts/NoteField'
import { sayDay } from '../../views/day-words'
import type { LogPart } from './log-part'
import { today } from '../../views/own-clock'

/** What to do otherwise next time, what to see to, and whatever else is to be remembered. */
export function NextTime({ log, change, pieces }: LogPart & OfPieces) {
  return (
    <section aria-label="Next time" className="grid gap-5">
      <Regrets log={log} change={change} pieces={pieces} />
      <Reminders log={log} change={change} />
      <NoteField
        label="Notes"
        value={log.notes}
        onChange={notes => change('notes', before => ({ ...before, notes }))}
      />
      <NoteField
        label="Care"
        value={log.care}
        onChange={care => change('care', before => ({ ...before, care }))}
      />
    </section>
  )
}

interface OfPieces {
  readonly pieces: readonly string[]
}

function Regrets({ log, change, pieces }: LogPart & OfPieces) {
  const [text, setText] = useState('')
  const [piece, setPiece] = useState('')
  const add = () => {
    if (text.trim() === '') return
    change(oneStep, before => ({
      ...before,
      regrets: [...before.regrets, { piece, what: text.trim() }],
    }))
    setText('')
  }
  return (
    <div className="grid gap-2">
      <h4 className="font-semibold">Otherwise next time</h4>
      <ul className="grid gap-1">
        {log.regrets.map(({ piece: about, what }, index) => (
          <li key={`${about} ${what}`} className="flex items-center gap-2 border-l-3 border-thread pl-3">
            <span className="flex-1">
              {about && <strong>{namePiece(about)}: </strong>}
              {what}
            </span>
            <IconButton
              icon={X}
              label={`Take out “${what}”`}
              onClick={() =>
                change(oneStep, before => ({
                  ...before,
                  regrets: before.regrets.filter((_, at) => at !== index),
                }))
              }
            />
          </li>
        ))}
      </ul>
      <form
        className="flex flex-wrap items-end gap-3"
        onSubmit={event => {
          event.preventDefault()
          add()
        }}
      >
        <div className="min-w-48 flex-1">
          <Field label="What would you do otherwise?">
            {({ id }) => (
              <input
                id={id}
                className={controlLook}
                maxLength={500}
                placeholder="The pocket was limp: interface it"
                value={text}
                onChange={event => setText(event.target.value)}
              />
            )}
          </Field>
        </div>
        <SelectField
          label="About"
          value={piece}
          choices={{
            '': 'the whole',
            ...Object.fromEntries(pieces.map(id => [id, namePiece(id)])),
          }}
          onChange={setPiece}
        />
        <Button type="submit">
          <Plus className="size-4" aria-hidden /> Remember it
        </Button>
      </form>
    </div>
  )
}

/** What makers see to again and again. */
const usualReminders = [
  { what: 'Tighten the elastic', months: 3 },
  { what: 'Wash it', months: 6 },
] as const

function Reminders({ log, change }: LogPart) {
  const add = (what: string, months: number) =>
    change(oneStep, before => ({
      ...before,
      reminders: [
        ...before.reminders,
        { id: newId(), what, due: inMonths(log.finished, months), done: null },
      ],
    }))
  return (
    <div className="grid gap-2">
      <h4 className="font-semibold">To be seen to</h4>
      <ul className="grid gap-1">
        {log.reminders.map(({ id, what, due, done }) => (
          <li key={id} className="flex flex-wrap items-center gap-3">
            <CheckField
              label={`${what}, ${sayDay(due)}`}
              checked={done !== null}
              onChange={isDone =>
                change(oneStep, before => ({
                  ...before,
                  reminders: before.reminders.map(one =>
                    one.id === id ? { ...one, done: isDone ? today() : null } : one,
                  ),
                }))
              }
            />
            <IconButton
              icon={X}
              label={`Take out “${what}”`}
              onClick={() =>
                change(oneStep, before => ({
                  ...before,
                  reminders: before.reminders.filter(one => one.id !== id),
                }))
              }
            />
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        {usualReminders.map(({ what, months }) => (
          <Button key={what} onClick={() => add(what, months)}>
            <Plus className="size-4" aria-hidden /> {what} in {months} months
          </Button>
        ))}
      </div>
    </div>
  )
}

/** The same day so many months on, or the last of that month. */
export function inMonths(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number)
  const last = new Date(Date.UTC(year, month - 1 + months + 1, 0)).getUTCDate()
  return new Date(Date.UTC(year, month - 1 + months, Math.min(date, last))).toISOString().slice(0, 10)
}

import { guessColumns, type ColumnMatch, type Table } from '@snowdrift/core'
import { useState } from 'react'
import { Button } from '../Button'
import { SelectField } from '../SelectField'

interface MatchColumnsProps {
  readonly table: Table
  readonly headings: readonly string[]
  /** What is taken for granted where no column says it. */
  readonly help: string
  readonly onMatch: (columns: ColumnMatch) => void
  readonly onCancel: () => void
}

/** A table with columns of its own: what each of them stands for, with a first guess. */
export function MatchColumns({ table, headings, help, onMatch, onCancel }: MatchColumnsProps) {
  const { columns, words, needed } = table
  const [match, setMatch] = useState<ColumnMatch>(() => guessColumns(table, headings))
  const taken = Object.values(match)
  const lacking = needed.find(column => !taken.includes(column))
  const twice = columns.find(column => taken.indexOf(column) !== taken.lastIndexOf(column))
  const set = (heading: string, column: string) => {
    const { [heading]: _before, ...others } = match
    setMatch(column === '' ? others : { ...others, [heading]: column })
  }
  const problem =
    lacking !== undefined
      ? `One column must be: ${words[lacking] ?? lacking}.`
      : twice && `Two columns cannot both be: ${words[twice] ?? twice}.`
  return (
    <section
      aria-label="What the columns stand for"
      className="order-last grid basis-full gap-4 rounded-md border border-rule bg-surface p-4"
    >
      <div>
        <h2 className="text-lg font-semibold">What do its columns stand for?</h2>
        <p className="text-soft">{help}</p>
      </div>
      <div className="grid gap-3 sm:grid-cols-3">
        {headings.map(heading => (
          <SelectField
            key={heading}
            label={heading}
            value={match[heading] ?? ''}
            choices={{ '': 'leave it out', ...words }}
            onChange={column => set(heading, column)}
          />
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button look="act" disabled={problem !== undefined} onClick={() => onMatch(match)}>
          Take it in
        </Button>
        <Button look="quiet" onClick={onCancel}>
          Leave it
        </Button>
        {problem && <p className="text-sm text-soft">{problem}</p>}
      </div>
    </section>
  )
}

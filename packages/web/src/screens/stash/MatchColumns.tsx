import {
  guessColumns,
  stashColumns,
  stashColumnWords,
  type ColumnMatch,
  type StashColumn,
} from '@snowdrift/core'
import { useState } from 'react'
import { Button } from '../../parts/Button'
import { SelectField } from '../../parts/SelectField'

interface MatchColumnsProps {
  readonly headings: readonly string[]
  readonly onMatch: (columns: ColumnMatch) => void
  readonly onCancel: () => void
}

const choices = { '': 'leave it out', ...stashColumnWords } satisfies Readonly<
  Record<StashColumn | '', string>
>

/** A table with columns of its own: what each of them stands for, with a first guess. */
export function MatchColumns({ headings, onMatch, onCancel }: MatchColumnsProps) {
  const [match, setMatch] = useState<ColumnMatch>(() => guessColumns(headings))
  const taken = Object.values(match)
  const twice = stashColumns.find(column => taken.indexOf(column) !== taken.lastIndexOf(column))
  const set = (heading: string, column: StashColumn | '') => {
    const { [heading]: _before, ...others } = match
    setMatch(column === '' ? others : { ...others, [heading]: column })
  }
  const problem: string | undefined = !taken.includes('name')
    ? 'One column must be the name of the material.'
    : twice && `Two columns cannot both be the ${stashColumnWords[twice]}.`
  return (
    <section
      aria-label="What the columns stand for"
      className="order-last grid basis-full gap-4 rounded-md border border-rule bg-surface p-4"
    >
      <div>
        <h2 className="text-lg font-semibold">What do its columns stand for?</h2>
        <p className="text-soft">
          What has no role is outer cloth, and a piece that does not say what it is a remnant. Bare lengths
          are in the workshop’s unit.
        </p>
      </div>
      <div className="grid gap-3 sm:grid-cols-3">
        {headings.map(heading => (
          <SelectField
            key={heading}
            label={heading}
            value={match[heading] ?? ''}
            choices={choices}
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

import type { ColumnMatch, Problem, Table } from '@snowdrift/core'
import { FileInput } from 'lucide-react'
import { useState } from 'react'
import { describeError } from '../../api/describe-error'
import { FileButton } from '../FileButton'
import { MatchColumns } from './MatchColumns'

/** A table that is to come in; with a match where its columns are not ours. */
export interface TableToImport {
  readonly table: File
  readonly columns?: ColumnMatch
}

interface ImportTableProps {
  readonly table: Table
  /** What the table is, for those who do not see the button. */
  readonly label: string
  /** What is taken for granted where no column says it. */
  readonly help: string
  readonly isLoading: boolean
  /** What became of the last one, once it was taken. */
  readonly done: string | undefined
  readonly error: unknown
  /** Sends it; gives what went wrong. */
  readonly onSend: (request: TableToImport) => Promise<unknown>
}

/** A table that is being taken in, and how its columns are headed where they are not ours. */
interface Unmatched {
  readonly table: File
  readonly headings: readonly string[]
}

/** Takes a table in; one with columns of its own is asked about first. */
export function ImportTable({ table, label, help, isLoading, done, error, onSend }: ImportTableProps) {
  const [unmatched, setUnmatched] = useState<Unmatched>()
  const take = async (request: TableToImport) => {
    const { headings } = problemOf(await onSend(request))
    const isAsked = headings !== undefined && request.columns === undefined
    setUnmatched(isAsked ? { table: request.table, headings } : undefined)
  }
  return (
    <>
      <FileButton
        label={label}
        accept=".csv,text/csv"
        busy={isLoading}
        onFile={file => void take({ table: file })}
      >
        <FileInput className="size-4" aria-hidden /> Import CSV
      </FileButton>
      {unmatched && (
        <MatchColumns
          table={table}
          headings={unmatched.headings}
          help={help}
          onCancel={() => setUnmatched(undefined)}
          onMatch={columns => void take({ table: unmatched.table, columns })}
        />
      )}
      {Boolean(error) && !unmatched && (
        <p role="alert" className="order-last basis-full border-l-3 border-bad pl-3">
          The table was not taken. {describeError(error)}
        </p>
      )}
      {done && !error && (
        <p role="status" className="order-last basis-full text-good">
          {done}
        </p>
      )}
    </>
  )
}

function problemOf(error: unknown): Partial<Problem> {
  return ((error ?? {}) as { data?: Partial<Problem> }).data ?? {}
}

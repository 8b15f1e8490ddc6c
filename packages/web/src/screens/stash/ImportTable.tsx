import type { Problem } from '@snowdrift/core'
import { FileInput } from 'lucide-react'
import { useState } from 'react'
import { useImportStashMutation } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { FileButton } from '../../parts/FileButton'
import { sayImported } from './import-words'
import { MatchColumns } from './MatchColumns'

/** A table that is being taken in, and how its columns are headed where they are not ours. */
interface Unmatched {
  readonly table: File
  readonly headings: readonly string[]
}

/** Takes a table into the stash; one with columns of its own is asked about first. */
export function ImportTable() {
  const [importStash, { error, data, isLoading }] = useImportStashMutation()
  const [unmatched, setUnmatched] = useState<Unmatched>()
  const take = async (request: Parameters<typeof importStash>[0]) => {
    const answer = await importStash(request)
    const { headings } = problemOf(answer.error)
    const isAsked = headings !== undefined && request.columns === undefined
    setUnmatched(isAsked ? { table: request.table, headings } : undefined)
  }
  return (
    <>
      <FileButton
        label="Table of a stash"
        accept=".csv,text/csv"
        busy={isLoading}
        onFile={table => void take({ table })}
      >
        <FileInput className="size-4" aria-hidden /> Import CSV
      </FileButton>
      {unmatched && (
        <MatchColumns
          headings={unmatched.headings}
          onCancel={() => setUnmatched(undefined)}
          onMatch={columns => void take({ table: unmatched.table, columns })}
        />
      )}
      {error && !unmatched && (
        <p role="alert" className="order-last basis-full border-l-3 border-bad pl-3">
          The table was not taken. {describeError(error)}
        </p>
      )}
      {data && !error && (
        <p role="status" className="order-last basis-full text-good">
          {sayImported(data)}
        </p>
      )}
    </>
  )
}

function problemOf(error: unknown): Partial<Problem> {
  return ((error ?? {}) as { data?: Partial<Problem> }).data ?? {}
}

import type { Problem } from '@snowdrift/core'
import { FileInput } from 'lucide-react'
import { useRef, useState } from 'react'
import { useImportStashMutation } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { Button } from '../../parts/Button'
import { sayImported } from './import-words'
import { MatchColumns } from './MatchColumns'

/** A table that is being taken in, and how its columns are headed where they are not ours. */
interface Unmatched {
  readonly table: File
  readonly headings: readonly string[]
}

/** Takes a table into the stash; one with columns of its own is asked about first. */
export function ImportTable() {
  const input = useRef<HTMLInputElement>(null)
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
      <Button disabled={isLoading} onClick={() => input.current?.click()}>
        <FileInput className="size-4" aria-hidden /> Import CSV
      </Button>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        className="hidden"
        aria-label="Table of a stash"
        onChange={event => {
          const [table] = event.target.files ?? []
          event.target.value = ''
          if (table) void take({ table })
        }}
      />
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

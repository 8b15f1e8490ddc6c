import { noMark, type MarkRow, type ShelfMark } from '@snowdrift/core'
import { useCallback, useMemo } from 'react'
import { useMarksQuery, useSaveMarkMutation } from '../api/log-api'

export interface Marks {
  readonly of: (cover: string) => ShelfMark
  /** Saved at once; the answer is looked for in `error`. */
  readonly change: (cover: string, change: Partial<ShelfMark>) => Promise<boolean>
  readonly error: unknown
  readonly isLoading: boolean
}

/** What shelf and plan of time know of the covers, and how it is changed. */
export function useMarks(): Marks {
  const { data, isLoading, error: unfetched } = useMarksQuery()
  const [save, { error }] = useSaveMarkMutation()
  const rows = useMemo(() => new Map<string, MarkRow>(data?.map(row => [row.id, row])), [data])
  const of = useCallback((cover: string) => ({ ...noMark, ...rows.get(cover)?.mark }), [rows])
  const change = useCallback<Marks['change']>(
    async (cover, part) => {
      const answer = await save({
        id: cover,
        version: rows.get(cover)?.version ?? 0,
        mark: { ...of(cover), ...part },
      })
      return !answer.error
    },
    [save, rows, of],
  )
  return { of, change, error: error ?? unfetched, isLoading }
}

import type { ArchiveNews, ArchiveReport, StandingChoice } from '@snowdrift/core'
import { useEffect, useRef, useState } from 'react'
import { api, rowTags } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { refusalOf } from '../../api/fetch-file'
import { readLines } from '../../api/read-lines'
import { useAppDispatch } from '../../app/store'

export type Archive =
  | { readonly state: 'resting' }
  /** Looked through, or taken in. */
  | { readonly state: 'reading'; readonly part: number; readonly takes: boolean }
  | { readonly state: 'looked'; readonly file: File; readonly report: ArchiveReport }
  | { readonly state: 'taken'; readonly report: ArchiveReport }
  | { readonly state: 'failed'; readonly why: string }

/** Has the server take an archive in after it was looked through; it can be stopped. */
export function useArchive() {
  const [now, setNow] = useState<Archive>({ state: 'resting' })
  const running = useRef<AbortController | undefined>(undefined)
  const dispatch = useAppDispatch()
  useEffect(() => () => running.current?.abort(), [])

  const begin = (state: Archive) => {
    running.current?.abort()
    running.current = new AbortController()
    setNow(state)
    return running.current.signal
  }
  const rest = () => {
    running.current?.abort()
    setNow({ state: 'resting' })
  }

  const send = async (file: File, query: string, takes: boolean) => {
    const signal = begin({ state: 'reading', part: 0, takes })
    const outcome = await ask(file, query, signal, part => setNow({ state: 'reading', part, takes }))
    if (signal.aborted) return undefined
    if (typeof outcome !== 'string') return outcome
    setNow({ state: 'failed', why: outcome })
    return undefined
  }
  const look = async (file: File) => {
    const answer = await send(file, 'only=report', false)
    if (answer) setNow({ state: 'looked', file, report: answer.report })
  }
  const take = async (file: File, choice: StandingChoice) => {
    const answer = await send(file, `existing=${choice}`, true)
    if (!answer) return
    dispatch(api.util.invalidateTags([...rowTags]))
    setNow(answer.taken ? { state: 'taken', report: answer.report } : { state: 'looked', file, ...answer })
  }
  return { now, look, take, rest }
}

/** What the server says last, or what went wrong, in a sentence. */
async function ask(
  file: File,
  query: string,
  signal: AbortSignal,
  tell: (part: number) => void,
): Promise<Extract<ArchiveNews, { report: unknown }> | string> {
  try {
    const answer = await fetch(`/api/archive?${query}`, { method: 'POST', body: file, signal })
    if (!answer.ok || !answer.body) return await refusalOf(answer)
    for await (const news of readLines<ArchiveNews>(answer.body)) {
      if ('part' in news) tell(news.part)
      else return 'problem' in news ? news.problem : news
    }
  } catch {
    // Broken off, or never begun: said below.
  }
  return describeError({ status: 'FETCH_ERROR' })
}

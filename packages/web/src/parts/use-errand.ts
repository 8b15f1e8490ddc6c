import type { ErrandRequest } from '@snowdrift/core'
import { runErrand } from '../api/run-errand'
import { useWriting } from './use-writing'

/** Has the server write something that takes a while, and offers it to keep; one at a time, and it can be stopped. */
export function useErrand() {
  const { now, start, stop } = useWriting<ErrandRequest['kind']>()
  return {
    now,
    start: (asked: ErrandRequest, fileName: string) =>
      start(asked.kind, fileName, (signal, tell) => runErrand(asked, signal, tell)),
    stop,
  }
}

import { isDone, type Step } from '@snowdrift/core'
import { useEffect } from 'react'
import type { OnTheBench } from './use-making'

/** Notes when a step that is to be done came up at the table: its time counts from then. */
export function useShown({ progress, change }: OnTheBench, step: Step): void {
  const { id } = step
  const done = isDone(progress, id)
  useEffect(() => {
    if (done) return
    const at = new Date().toISOString()
    change(current => ({ ...current, shown: { ...current.shown, [id]: { at } } }))
  }, [id, done, change])
}

import type { CoverFile } from '@snowdrift/core'
import { useEffect, useState } from 'react'
import { plannedOf, type Planned } from '../../views/planned'

const waiting: (() => void)[] = []
let isRunning = false

/** Plans cover after cover, each in a task of its own, so that a hand that scrolls is not held up. */
export function usePlannedInTurn(file: CoverFile | undefined): Planned | undefined {
  const [planned, setPlanned] = useState<{ readonly file: CoverFile; readonly is: Planned }>()
  useEffect(() => {
    if (!file) return
    return inTurn(() => setPlanned({ file, is: plannedOf(file) }))
  }, [file])
  return planned && planned.file === file ? planned.is : undefined
}

/** Gives what takes the work back while it still waits. */
function inTurn(work: () => void): () => void {
  waiting.push(work)
  if (!isRunning) {
    isRunning = true
    setTimeout(next, 0)
  }
  return () => {
    const place = waiting.indexOf(work)
    if (place >= 0) waiting.splice(place, 1)
  }
}

function next(): void {
  const work = waiting.shift()
  isRunning = waiting.length > 0
  if (isRunning) setTimeout(next, 0)
  work?.()
}

import { useEffect, useState } from 'react'

const waiting: (() => void)[] = []
let isRunning = false

/**
 * One piece of work after the other, each in a task of its own, so that a hand that scrolls is not held up. Gives what
 * takes the work back while it still waits.
 */
export function inTurn(work: () => void): () => void {
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

/** Whether its turn has come since it is there. */
export function useTurn(): boolean {
  const [hasCome, setHasCome] = useState(false)
  useEffect(() => inTurn(() => setHasCome(true)), [])
  return hasCome
}

function next(): void {
  const work = waiting.shift()
  isRunning = waiting.length > 0
  if (isRunning) setTimeout(next, 0)
  work?.()
}

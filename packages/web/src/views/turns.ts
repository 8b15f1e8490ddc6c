/**
 * A queue of work: one piece after the other, each in a task of its own, so that none keeps the page from answering; the
 * first so many milliseconds after it was asked for. Asking gives what takes the work back while it still waits.
 */
export function createTurns(restMs: number): (work: () => void) => () => void {
  const waiting: (() => void)[] = []
  let timer: ReturnType<typeof setTimeout> | undefined
  const next = () => {
    const work = waiting.shift()
    timer = waiting.length > 0 ? setTimeout(next, 0) : undefined
    work?.()
  }
  return work => {
    waiting.push(work)
    timer ??= setTimeout(next, restMs)
    return () => {
      const place = waiting.indexOf(work)
      if (place >= 0) waiting.splice(place, 1)
    }
  }
}

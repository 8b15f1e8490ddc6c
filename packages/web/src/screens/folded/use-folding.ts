import { useCallback, useEffect, useRef, useState } from 'react'

/** From one stage to the next, in milliseconds. */
const stageMs = 1400

interface Folding {
  /** Between the first stage, 0, and the last. */
  readonly time: number
  readonly isPlaying: boolean
  /** Goes there at once. */
  readonly scrub: (time: number) => void
  /** Goes there as it would be made, or at once where nothing is to move. */
  readonly goTo: (stage: number) => void
  /** To the next stage, or back by one: from where it is going, while it is on its way. */
  readonly step: (by: 1 | -1) => void
  /** From here to the end, or from the start where that is reached; stops where it plays. */
  readonly play: () => void
}

/** The time of a cover that comes together. */
export function useFolding(last: number, start: number, isStill: boolean): Folding {
  const [time, setTime] = useState(start)
  const [goal, setGoal] = useState<number>()
  const before = useRef<number>(undefined)
  useEffect(() => {
    if (goal === undefined) return
    let frame = requestAnimationFrame(function tick(now) {
      const passed = (now - (before.current ?? now)) / stageMs
      before.current = now
      setTime(from => {
        const left = goal - from
        return Math.abs(left) <= passed ? goal : from + Math.sign(left) * passed
      })
      frame = requestAnimationFrame(tick)
    })
    return () => {
      cancelAnimationFrame(frame)
      before.current = undefined
    }
  }, [goal])
  if (goal !== undefined && time === goal) setGoal(undefined)
  const scrub = useCallback((next: number) => {
    setGoal(undefined)
    setTime(next)
  }, [])
  const goTo = (stage: number) => {
    const within = Math.max(0, Math.min(stage, last))
    if (isStill) scrub(within)
    else setGoal(within)
  }
  const step = (by: 1 | -1) => {
    const from = (goal ?? time) + by
    goTo(by > 0 ? Math.floor(from) : Math.ceil(from))
  }
  const play = () => {
    if (goal !== undefined) return setGoal(undefined)
    if (time >= last) setTime(0)
    setGoal(last)
  }
  return { time, isPlaying: goal !== undefined, scrub, goTo, step, play }
}

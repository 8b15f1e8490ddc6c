import type { ReactNode } from 'react'
import type { Progress } from '../workers/progress'
import { Button } from './Button'

interface RunProgressProps {
  readonly progress: Progress
  /** What is counted. */
  readonly label: string
  readonly onStop: () => void
  /** What is said once it was stopped, and once it is done. */
  readonly stopped: ReactNode
  readonly done: ReactNode
}

/** How far a long reckoning is, with a way to stop it. */
export function RunProgress({ progress, label, onStop, stopped, done }: RunProgressProps) {
  if (typeof progress !== 'number') return progress === 'stopped' ? stopped : done
  return (
    <>
      <progress className="h-1.5 w-40" aria-label={label} value={progress} max={1} />
      <Button look="quiet" small onClick={onStop}>
        Stop
      </Button>
    </>
  )
}

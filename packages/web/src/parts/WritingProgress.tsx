import { Button } from './Button'
import { Trouble } from './Trouble'
import type { Writing } from './use-writing'

interface WritingProgressProps {
  readonly now: Writing<unknown>
  /** What is being written, for those who hear the page. */
  readonly label: string
  readonly onStop: () => void
}

/** How far something is that is written, the way to stop it, and what came of it. */
export function WritingProgress({ now, label, onStop }: WritingProgressProps) {
  switch (now.state) {
    case 'resting':
      return null
    case 'running':
      return (
        <span className="inline-flex items-center gap-2">
          {/* Until it is begun there is nothing to count. */}
          <progress
            className="h-1.5 w-32"
            aria-label={label}
            {...(now.part > 0 && { value: now.part, max: 1 })}
          />
          <Button look="quiet" small onClick={onStop}>
            Stop
          </Button>
        </span>
      )
    case 'done':
      return (
        <span role="status" className="text-good">
          Written: it is among your downloads.
        </span>
      )
    case 'failed':
      return <Trouble>{now.why}</Trouble>
  }
}

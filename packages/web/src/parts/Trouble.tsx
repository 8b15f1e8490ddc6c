import type { ReactNode } from 'react'
import { describeError } from '../api/describe-error'

interface TroubleProps {
  /** What a request failed of; nothing is shown where it did not. */
  readonly error?: unknown
  /** What is wrong, where it is no request that failed. */
  readonly children?: ReactNode
}

/** What is wrong, said at once to whoever hears the page. */
export function Trouble({ error, children }: TroubleProps) {
  if (!error && !children) return null
  return (
    <p role="alert" className="border-l-3 border-bad pl-3">
      {children ?? describeError(error)}
    </p>
  )
}

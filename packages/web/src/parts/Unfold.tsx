import { useState, type ReactNode } from 'react'

interface UnfoldProps {
  readonly summary: ReactNode
  /** Asked for only while it is unfolded: what nobody sees is not drawn anew with every key. */
  readonly children: () => ReactNode
  /** Whether it is unfolded before anybody does. */
  readonly startsOpen?: boolean
  readonly 'data-standard-sizes'?: true
  readonly 'data-jig'?: true
  readonly 'data-old-cover'?: true
}

/** Something quiet that unfolds. */
export function Unfold({ summary, children, startsOpen = false, ...marks }: UnfoldProps) {
  const [isOpen, setOpen] = useState(startsOpen)
  return (
    <details {...marks} open={isOpen} onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="text-soft">{summary}</summary>
      {isOpen && children()}
    </details>
  )
}

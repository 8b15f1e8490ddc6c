import { useState, type ReactNode } from 'react'

interface UnfoldProps {
  readonly summary: ReactNode
  /** Asked for only while it is unfolded: what nobody sees is not drawn anew with every key. */
  readonly children: () => ReactNode
  readonly 'data-standard-sizes'?: true
  readonly 'data-jig'?: true
}

/** Something quiet that unfolds. */
export function Unfold({ summary, children, ...marks }: UnfoldProps) {
  const [isOpen, setOpen] = useState(false)
  return (
    <details {...marks} onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="text-soft">{summary}</summary>
      {isOpen && children()}
    </details>
  )
}

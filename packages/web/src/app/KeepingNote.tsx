import { useState } from 'react'
import type { Keeping } from '../drafts/kept-drafts'
import { keepingWords } from '../drafts/saving-words'
import { Button } from '../parts/Button'

/** Says that this device does not keep unsaved work, and what that means; until it is dismissed. */
export function KeepingNote({ keeping }: { readonly keeping: NonNullable<Keeping> }) {
  const [dismissed, setDismissed] = useState<typeof keeping>()
  if (keeping === dismissed) return null
  return (
    <div
      role="status"
      aria-label="Keeping on this device"
      className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-caution bg-surface px-4 py-2 sm:px-6"
    >
      <p className="min-w-0 flex-1">{keepingWords(keeping)}</p>
      <Button look="quiet" onClick={() => setDismissed(keeping)}>
        Dismiss
      </Button>
    </div>
  )
}

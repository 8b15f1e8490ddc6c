import type { ExportKind } from '@snowdrift/core'
import { Download } from 'lucide-react'
import type { ReactNode } from 'react'
import { Button } from '../../parts/Button'
import { WritingProgress } from '../../parts/WritingProgress'
import type { Writing } from '../../parts/use-writing'
import type { Offer } from './exports'

interface ExportRowProps {
  readonly offer: Offer
  readonly now: Writing<ExportKind>
  readonly disabled: boolean
  readonly onStart: () => void
  readonly onStop: () => void
  /** What can be chosen of it. */
  readonly children?: ReactNode
}

/** One thing to take away: what it is, what can be chosen of it, and how far it has come. */
export function ExportRow({ offer, now, disabled, onStart, onStop, children }: ExportRowProps) {
  const own = now.state !== 'resting' && now.of === offer.kind ? now : undefined
  const progress = own && <WritingProgress now={own} label={`Writing: ${offer.name}`} onStop={onStop} />
  return (
    <div className="grid gap-2 border-t border-rule pt-3" data-export={offer.kind}>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div className="min-w-0 flex-1 basis-56">
          <h3 className="font-medium">{offer.name}</h3>
          <p className="text-soft">{offer.words}</p>
        </div>
        {own?.state === 'running' ? (
          progress
        ) : (
          <Button disabled={disabled} onClick={onStart} aria-label={nameOf(offer)}>
            <Download className="size-4" aria-hidden /> {offer.extension.toUpperCase()}
          </Button>
        )}
      </div>
      {children && <div className="max-w-full justify-self-start">{children}</div>}
      {own?.state !== 'running' && progress}
    </div>
  )
}

/** What the button says comes first, for those who speak to it. */
function nameOf({ name, extension }: Offer): string {
  const kind = extension.toUpperCase()
  return name === kind ? kind : `${kind}: ${name}`
}

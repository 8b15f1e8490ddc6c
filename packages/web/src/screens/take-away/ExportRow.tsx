import { Download } from 'lucide-react'
import type { ReactNode } from 'react'
import { Button } from '../../parts/Button'
import type { Offer } from './exports'
import type { Export } from './use-export'

interface ExportRowProps {
  readonly offer: Offer
  readonly now: Export
  readonly disabled: boolean
  readonly onStart: () => void
  readonly onStop: () => void
  /** What can be chosen of it. */
  readonly children?: ReactNode
}

/** One thing to take away: what it is, what can be chosen of it, and how far it has come. */
export function ExportRow({ offer, now, disabled, onStart, onStop, children }: ExportRowProps) {
  const own = now.state !== 'resting' && now.kind === offer.kind ? now : undefined
  const isRunning = own?.state === 'running'
  return (
    <div className="grid gap-2 border-t border-rule pt-3" data-export={offer.kind}>
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div className="min-w-0 flex-1 basis-56">
          <h3 className="font-medium">{offer.name}</h3>
          <p className="text-soft">{offer.words}</p>
        </div>
        {isRunning ? (
          <div className="flex items-center gap-2">
            <progress className="h-1.5 w-24" aria-label={`Writing: ${offer.name}`} />
            <Button look="quiet" small onClick={onStop}>
              Stop
            </Button>
          </div>
        ) : (
          <Button disabled={disabled} onClick={onStart} aria-label={nameOf(offer)}>
            <Download className="size-4" aria-hidden /> {offer.extension.toUpperCase()}
          </Button>
        )}
      </div>
      {children && <div className="max-w-full justify-self-start">{children}</div>}
      {own?.state === 'done' && (
        <p role="status" className="text-good">
          Written: it is among your downloads.
        </p>
      )}
      {own?.state === 'failed' && (
        <p role="alert" className="text-bad">
          {own.why}
        </p>
      )}
    </div>
  )
}

/** What the button says comes first, for those who speak to it. */
function nameOf({ name, extension }: Offer): string {
  const kind = extension.toUpperCase()
  return name === kind ? kind : `${kind}: ${name}`
}

import { Dialog } from 'radix-ui'
import { X } from 'lucide-react'
import { Button } from '../parts/Button'
import { shortcuts } from './shortcuts'

interface ShortcutsDialogProps {
  readonly open: boolean
  readonly onClose: () => void
}

export function ShortcutsDialog({ open, onClose }: ShortcutsDialogProps) {
  return (
    <Dialog.Root open={open} onOpenChange={next => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 max-h-[85dvh] w-[min(28rem,92vw)] -translate-1/2 overflow-auto rounded-lg border border-rule bg-surface p-6"
        >
          <div className="mb-4 flex items-center justify-between">
            <Dialog.Title className="text-xl font-semibold">Shortcuts</Dialog.Title>
            <Dialog.Close asChild>
              <Button look="quiet" aria-label="Close">
                <X className="size-5" aria-hidden />
              </Button>
            </Dialog.Close>
          </div>
          <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
            {shortcuts.map(([keys, does]) => (
              <div key={keys} className="contents">
                <dt>
                  <kbd className="rounded border border-rule bg-ground px-1.5 py-0.5 text-sm">{keys}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

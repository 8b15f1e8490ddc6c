import { X } from 'lucide-react'
import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'
import { IconButton } from './IconButton'

interface ModalProps {
  readonly title: string
  readonly open: boolean
  readonly onClose: () => void
  /** For a picture that one works in. */
  readonly wide?: boolean
  readonly children: ReactNode
}

/**
 * A dialog over everything else; the page beneath it stands still. The library's own overlay would write a style sheet
 * into the page to hold it, which our content policy forbids: `app.css` does that wherever a modal is open.
 */
export function Modal({ title, open, onClose, wide = false, children }: ModalProps) {
  return (
    <Dialog.Root open={open} onOpenChange={next => !next && onClose()}>
      <Dialog.Portal>
        <div className="pointer-events-auto fixed inset-0 z-40 bg-black/50" aria-hidden />
        <Dialog.Content
          aria-describedby={undefined}
          data-modal
          className={`fixed top-1/2 left-1/2 z-50 -translate-1/2 overflow-auto overscroll-contain rounded-md border border-rule bg-surface ${
            wide ? 'max-h-[94dvh] w-[min(66rem,96vw)] p-4 sm:p-6' : 'max-h-[85dvh] w-[min(28rem,92vw)] p-6'
          }`}
        >
          <div className="mb-4 flex items-center justify-between">
            <Dialog.Title className="text-xl font-semibold">{title}</Dialog.Title>
            <Dialog.Close asChild>
              <IconButton icon={X} label="Close" large />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

import { Popover } from 'radix-ui'
import { useRef, type FocusEvent, type ReactNode } from 'react'

interface PictureCardProps {
  readonly label: string
  /** What in the picture it is about: it stands beside that, which has the focus again once it is closed. */
  readonly anchor: SVGGElement
  readonly onClose: () => void
  readonly onFocus?: (event: FocusEvent) => void
  readonly children: ReactNode
}

/** What is opened in the picture, beside the place where it was opened. */
export function PictureCard({ label, anchor, onClose, onFocus, children }: PictureCardProps) {
  const at = useRef(anchor)
  return (
    <Popover.Root open onOpenChange={open => !open && onClose()}>
      <Popover.Anchor virtualRef={at} />
      <Popover.Portal>
        <Popover.Content
          sideOffset={8}
          collisionPadding={8}
          aria-label={label}
          className="z-30 max-h-[70vh] w-80 max-w-[calc(100vw-1rem)] overflow-y-auto rounded-md border border-rule bg-surface p-3 shadow-lg"
          onFocus={onFocus}
          onCloseAutoFocus={event => {
            event.preventDefault()
            at.current.focus()
          }}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

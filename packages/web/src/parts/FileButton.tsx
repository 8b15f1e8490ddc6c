import { useRef, type ReactNode } from 'react'
import { Button } from './Button'

interface FileButtonProps {
  /** What the button says. */
  readonly children: ReactNode
  /** What the file is, for those who do not see the button. */
  readonly label: string
  /** The kinds of file that are offered first. */
  readonly accept: string
  readonly busy: boolean
  readonly onFile: (file: File) => void
}

/** A button that takes a file; the same file may be taken again. */
export function FileButton({ children, label, accept, busy, onFile }: FileButtonProps) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <Button disabled={busy} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={event => {
          const [file] = event.target.files ?? []
          event.target.value = ''
          if (file) onFile(file)
        }}
      />
    </>
  )
}

import { Trash2 } from 'lucide-react'
import { describeError } from '../../api/describe-error'

interface DeleteButtonProps {
  readonly name: string
  readonly busy: boolean
  readonly error: unknown
  readonly onDelete: () => void
}

/** Takes something off the shelf; where that fails, says why. */
export function DeleteButton({ name, busy, error, onDelete }: DeleteButtonProps) {
  return (
    <>
      {error !== undefined && (
        <p role="alert" className="relative z-10 bg-ground text-sm text-bad">
          {describeError(error)}
        </p>
      )}
      <button
        className="absolute right-1 bottom-0 z-10 grid place-items-center rounded-md p-2 text-soft opacity-0 group-hover:opacity-100 hover:text-bad focus-visible:opacity-100 [@media(hover:none)]:opacity-100"
        aria-label={`Delete ${name}`}
        disabled={busy}
        onClick={onDelete}
      >
        <Trash2 className="size-4" aria-hidden />
      </button>
    </>
  )
}

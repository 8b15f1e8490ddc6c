import { useId, type ReactNode } from 'react'
import { Fractions } from './Fractions'

interface FieldProps {
  readonly label: string
  readonly help?: ReactNode
  readonly children: (ids: { readonly id: string; readonly describedBy: string | undefined }) => ReactNode
}

/** A label, its control, and a line of help beneath it. */
export function Field({ label, help, children }: FieldProps) {
  const id = useId()
  const describedBy = help ? `${id}-help` : undefined
  return (
    <div className="grid content-start gap-1">
      <label htmlFor={id} className="font-medium">
        {label}
      </label>
      {children({ id, describedBy })}
      {help && (
        <p id={describedBy} className="text-sm text-soft">
          {typeof help === 'string' ? <Fractions text={help} /> : help}
        </p>
      )}
    </div>
  )
}

export const controlLook =
  'min-h-9 w-full rounded-md border border-strong-rule bg-surface px-2.5 py-1.5 text-ink placeholder:text-soft'

import { useId } from 'react'
import { Fractions } from './Fractions'

interface YesNoFieldProps {
  readonly label: string
  readonly help: string
  readonly checked: boolean
  readonly onChange: (checked: boolean) => void
}

/** A part that is there or is not. */
export function YesNoField({ label, help, checked, onChange }: YesNoFieldProps) {
  const helpId = useId()
  return (
    <div className="grid gap-0.5">
      <label className="flex min-h-8 cursor-pointer items-center gap-2.5 font-medium">
        <input
          type="checkbox"
          className="size-5 accent-(--thread)"
          checked={checked}
          aria-describedby={helpId}
          onChange={event => onChange(event.target.checked)}
        />
        {label}
      </label>
      <p id={helpId} className="text-sm text-soft">
        <Fractions text={help} />
      </p>
    </div>
  )
}

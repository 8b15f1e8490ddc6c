import { useId, useState } from 'react'
import { Fractions } from './Fractions'

interface YesNoFieldProps {
  readonly label: string
  readonly help: string
  readonly checked: boolean
  readonly onChange: (checked: boolean) => void
  /** What the other answer would change, asked once somebody looks at it. */
  readonly effectOf?: (checked: boolean) => string
}

/** A part that is there or is not. */
export function YesNoField({ label, help, checked, onChange, effectOf }: YesNoFieldProps) {
  const helpId = useId()
  const [isLooking, setLooking] = useState(false)
  const effect = isLooking ? effectOf?.(!checked) : undefined
  return (
    <div
      className="grid gap-0.5"
      onFocus={() => setLooking(true)}
      onBlur={() => setLooking(false)}
      onPointerEnter={() => setLooking(true)}
      onPointerLeave={() => setLooking(false)}
    >
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
        <Fractions text={effect ? `${help} ${checked ? 'Without' : 'With'} it: ${effect}.` : help} />
      </p>
    </div>
  )
}

import { controlLook } from './Field'

interface DayFieldProps {
  /** What it is of, where the words beside it do not say so. */
  readonly label?: string
  /** YYYY-MM-DD; null for none. */
  readonly value: string | null
  readonly onChange: (day: string | null) => void
}

/** A day: taken once it is picked from the calendar, or typed to its end, not digit by digit. */
export function DayField({ label, value, onChange }: DayFieldProps) {
  const take = (typed: string) => {
    const next = typed || null
    if (next !== value) onChange(next)
  }
  return (
    <input
      type="date"
      className={`${controlLook} max-w-44`}
      aria-label={label}
      defaultValue={value ?? ''}
      key={value}
      onBlur={event => take(event.target.value)}
      onChange={event => {
        if (event.target !== document.activeElement) take(event.target.value)
      }}
    />
  )
}

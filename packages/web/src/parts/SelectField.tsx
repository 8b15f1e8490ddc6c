import { useMemo, useState } from 'react'
import { controlLook, Field } from './Field'
import { withEffect } from './with-effect'

interface SelectFieldProps<Value extends string> {
  readonly label: string
  readonly help?: string
  readonly value: Value
  readonly choices: Readonly<Record<Value, string>>
  readonly onChange: (value: Value) => void
  /** What a choice would change, asked once somebody looks at them. */
  readonly effectOf?: (value: Value) => string
}

/** One of a few named values, in the platform's own list: it works with any keyboard and on any phone. */
export function SelectField<Value extends string>({
  label,
  help,
  value,
  choices,
  onChange,
  effectOf,
}: SelectFieldProps<Value>) {
  const [isLooking, setLooking] = useState(false)
  const look = () => setLooking(true)
  const named = useMemo(
    () =>
      (Object.entries(choices) as [Value, string][]).map(([key, words]) => {
        const effect = isLooking && key !== value ? effectOf?.(key) : undefined
        return [key, withEffect(words, effect)] as const
      }),
    [choices, effectOf, isLooking, value],
  )
  return (
    <Field label={label} help={help}>
      {({ id, describedBy }) => (
        <select
          id={id}
          aria-describedby={describedBy}
          className={controlLook}
          value={value}
          onFocus={look}
          onBlur={() => setLooking(false)}
          onPointerDown={look}
          onChange={event => onChange(event.target.value as Value)}
        >
          {named.map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}

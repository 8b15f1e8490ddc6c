import { controlLook, Field } from './Field'

interface SelectFieldProps<Value extends string> {
  readonly label: string
  readonly help?: string
  readonly value: Value
  readonly choices: Readonly<Record<Value, string>>
  readonly onChange: (value: Value) => void
}

/** One of a few named values, in the platform's own list: it works with any keyboard and on any phone. */
export function SelectField<Value extends string>({
  label,
  help,
  value,
  choices,
  onChange,
}: SelectFieldProps<Value>) {
  return (
    <Field label={label} help={help}>
      {({ id, describedBy }) => (
        <select
          id={id}
          aria-describedby={describedBy}
          className={controlLook}
          value={value}
          onChange={event => onChange(event.target.value as Value)}
        >
          {Object.entries<string>(choices).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Field>
  )
}

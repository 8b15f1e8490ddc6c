import type { LengthFieldProps } from './LengthField'
import { LengthField } from './LengthField'
import { SelectField } from './SelectField'

interface NamedLengthFieldProps extends LengthFieldProps {
  readonly named: Readonly<Record<string, string>>
  /** The name that holds while nothing is stated. */
  readonly usual: string
  /** What a length starts from when it is chosen. */
  readonly start: string
}

const asTyped = 'as typed'

/** A length that may be found in one of several named ways, or typed. */
export function NamedLengthField({ named, usual, start, ...field }: NamedLengthFieldProps) {
  const { value, label, help, onChange } = field
  const name = value === undefined ? usual : Object.hasOwn(named, String(value)) ? String(value) : asTyped
  const choices: Readonly<Record<string, string>> = { ...named, [asTyped]: 'a length of my own' }
  return (
    <div className="grid gap-2">
      <SelectField
        label={label}
        help={typeof help === 'string' ? help : ''}
        value={name}
        choices={choices}
        onChange={chosen => onChange(chosen === asTyped ? start : chosen)}
      />
      {name === asTyped && (
        <LengthField
          {...field}
          help={undefined}
          label={`${label}, as typed`}
          hideLabel
          fallback={undefined}
        />
      )}
    </div>
  )
}

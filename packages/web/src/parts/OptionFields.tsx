import type { Length, OptionField, TypedLength, Unit } from '@snowdrift/core'
import { mm } from '@snowdrift/core'
import type { ReactNode } from 'react'
import { LengthField } from './LengthField'
import { SelectField } from './SelectField'

interface OptionFieldsProps {
  readonly fields: readonly (readonly [string, OptionField])[]
  readonly values: Readonly<Record<string, unknown>>
  /** What holds where nothing is stated. */
  readonly settled: Readonly<Record<string, unknown>>
  readonly unit: Unit
  readonly division: Length
  readonly onChange: (key: string, value: string | undefined) => void
  /** What stands beneath a field: its findings. */
  readonly below?: (key: string) => ReactNode
}

/** A form made from the options schema of a family or an extra: its labels, its help, its choices. */
export function OptionFields(props: OptionFieldsProps) {
  const { fields, values, settled, unit, division, onChange, below } = props
  return fields.map(([key, field]) => (
    <div key={key} className="grid gap-2">
      {field.field === 'length' ? (
        <LengthField
          label={field.label}
          help={field.help}
          unit={unit}
          value={values[key] as TypedLength | undefined}
          fallback={settled[key] as Length | undefined}
          division={division}
          range={{ min: mm(field.minMm), max: mm(field.maxMm) }}
          onChange={typed => onChange(key, typed)}
        />
      ) : (
        <SelectField
          label={field.label}
          help={field.help}
          value={chosenOf(values[key] ?? settled[key], field.choices)}
          choices={field.choices}
          onChange={value => onChange(key, value)}
        />
      )}
      {below?.(key)}
    </div>
  ))
}

function chosenOf(value: unknown, choices: Readonly<Record<string, string>>): string {
  return typeof value === 'string' ? value : (Object.keys(choices)[0] ?? '')
}

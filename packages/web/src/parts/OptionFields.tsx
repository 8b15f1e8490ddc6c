import {
  formatLength,
  mm,
  ofTicks,
  sayAmounts,
  type Length,
  type OptionField,
  type TypedLength,
  type Unit,
} from '@snowdrift/core'
import type { ReactNode } from 'react'
import { CountField } from './CountField'
import { controlLook, Field } from './Field'
import { LengthField } from './LengthField'
import { NamedLengthField } from './NamedLengthField'
import { SelectField } from './SelectField'
import { YesNoField } from './YesNoField'

export type OptionValue = string | number | boolean | undefined

interface OptionFieldsProps {
  readonly fields: readonly (readonly [string, OptionField])[]
  readonly values: Readonly<Record<string, unknown>>
  /** What holds where nothing is stated. */
  readonly settled: Readonly<Record<string, unknown>>
  readonly unit: Unit
  readonly division: Length
  readonly onChange: (key: string, value: OptionValue) => void
  /** What stands beneath a field: its findings. */
  readonly below?: (key: string) => ReactNode
  /** What a text field may be chosen from, by key. */
  readonly choices?: Readonly<Record<string, Readonly<Record<string, string>>>>
  /** What another value of a field would change. */
  readonly effectOf?: (key: string, value: OptionValue) => string
}

/** A form made from the options schema of a family or an extra: its labels, its help, its choices. */
export function OptionFields({ fields, below, ...props }: OptionFieldsProps) {
  return fields.map(([key, field]) => (
    <div key={key} className="grid gap-2">
      <OneField {...props} name={key} field={field} />
      {below?.(key)}
    </div>
  ))
}

interface OneFieldProps extends Omit<OptionFieldsProps, 'fields' | 'below'> {
  readonly name: string
  readonly field: OptionField
}

function OneField(props: OneFieldProps) {
  const { name, field, values, settled, unit, division, onChange, choices, effectOf } = props
  const told = effectOf && { effectOf: (next: OptionValue) => effectOf(name, next) }
  const { label } = field
  const help = sayAmounts(field.help, unit)
  const value = values[name]
  const set = (next: OptionValue) => onChange(name, next)
  switch (field.field) {
    case 'length': {
      const shared = { label, help, unit, division, range: { min: mm(field.minMm), max: mm(field.maxMm) } }
      const held = settled[name]
      const fallback = typeof held === 'number' ? ofTicks(held) : undefined
      if (!field.named)
        return (
          <LengthField
            {...shared}
            value={value as TypedLength | undefined}
            fallback={fallback}
            onChange={set}
          />
        )
      const usual = Object.keys(field.named)[0] ?? ''
      const start = formatLength(mm(3), unit)
      return (
        <NamedLengthField
          {...shared}
          named={field.named}
          usual={usual}
          start={start}
          value={value as TypedLength | undefined}
          onChange={set}
        />
      )
    }
    case 'choice':
      return (
        <SelectField
          label={label}
          help={help}
          value={chosenOf(value ?? settled[name], field.choices)}
          choices={field.choices}
          onChange={set}
          {...told}
        />
      )
    case 'yes-no':
      return (
        <YesNoField
          {...{ label, help }}
          checked={(value ?? settled[name]) === true}
          onChange={set}
          {...told}
        />
      )
    case 'count':
      return (
        <CountField
          {...{ label, help, min: field.min, max: field.max }}
          value={value as number | undefined}
          fallback={typeof settled[name] === 'number' ? settled[name] : undefined}
          onChange={set}
        />
      )
    case 'text':
      return (
        <TextField
          {...{ label, help }}
          value={typeof value === 'string' ? value : ''}
          choices={choices?.[name]}
          onChange={set}
        />
      )
  }
}

interface TextFieldProps {
  readonly label: string
  readonly help: string
  readonly value: string
  readonly choices: Readonly<Record<string, string>> | undefined
  readonly onChange: (text: string | undefined) => void
}

function TextField({ label, help, value, choices, onChange }: TextFieldProps) {
  const set = (text: string) => onChange(text === '' ? undefined : text)
  if (choices) return <SelectField label={label} help={help} value={value} choices={choices} onChange={set} />
  return (
    <Field label={label} help={help}>
      {({ id, describedBy }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          className={controlLook}
          value={value}
          onChange={event => set(event.target.value)}
        />
      )}
    </Field>
  )
}

function chosenOf(value: unknown, choices: Readonly<Record<string, string>>): string {
  return typeof value === 'string' ? value : (Object.keys(choices)[0] ?? '')
}

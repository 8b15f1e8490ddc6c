import { settingFields, settingsInUnit, units, type SettingsBody, type Unit } from '@snowdrift/core'
import { oneStep } from '../../drafts/draft'
import { Field, controlLook } from '../../parts/Field'
import { LengthsField } from './LengthsField'
import { LengthField } from '../../parts/LengthField'
import { SelectField } from '../../parts/SelectField'
import { gridChoices } from '../../views/grid-choices'
import { unitWords } from '../../views/unit-words'

export type SettingKey = keyof typeof settingFields

/** The settings in the order of the form. */
export const settingKeys = Object.keys(settingFields) as readonly SettingKey[]

interface SettingInputProps {
  readonly name: SettingKey
  readonly settings: SettingsBody
  /** `step` names what is undone together: letters typed into one field, or a choice by itself. */
  readonly onChange: (step: string, make: (settings: SettingsBody) => SettingsBody) => void
}

/** One setting as its definition asks for it. */
export function SettingInput({ name, settings, onChange }: SettingInputProps) {
  const field = settingFields[name]
  const { label, help } = field
  const { unit } = settings
  const value = settings[name]
  const set = (next: string | null, step = oneStep) => onChange(step, before => ({ ...before, [name]: next }))
  switch (field.control) {
    case 'unit':
      return (
        <SelectField
          label={label}
          help={help}
          value={unit}
          choices={Object.fromEntries(units.map(known => [known, unitWords[known]])) as Record<Unit, string>}
          onChange={next => onChange(oneStep, before => settingsInUnit(before, next))}
        />
      )
    case 'grid':
      return (
        <SelectField
          label={label}
          help={help}
          value={value ?? ''}
          choices={gridChoices({ reckoned: unit, shown: unit, stated: value ?? '' })}
          onChange={next => set(next || null)}
        />
      )
    case 'length':
      return (
        <LengthField
          whenLeft
          label={label}
          help={help}
          unit={unit}
          value={value ?? undefined}
          fallback={field.usual(unit)}
          division={field.step(unit)}
          range={field.range}
          onChange={typed => set(typed ?? null)}
        />
      )
    case 'choice':
      return (
        <SelectField
          label={label}
          help={help}
          value={value ?? ''}
          choices={field.choices}
          onChange={next => set(next)}
        />
      )
    case 'lengths':
      return (
        <LengthsField
          label={label}
          help={help}
          unit={unit}
          value={value ?? ''}
          range={field.range}
          onChange={typed => set(typed === '' ? null : typed, name)}
        />
      )
    case 'text':
      return (
        <Field label={label} help={help}>
          {({ id, describedBy }) => (
            <input
              id={id}
              aria-describedby={describedBy}
              className={`${controlLook} max-w-28`}
              maxLength={field.longest}
              value={value ?? ''}
              onChange={event => set(event.target.value, name)}
            />
          )}
        </Field>
      )
  }
}

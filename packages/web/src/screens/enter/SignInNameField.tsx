import { controlLook, Field } from '../../parts/Field'

interface SignInNameFieldProps {
  readonly value: string
  readonly onChange: (name: string) => void
  readonly help?: string
}

/** The name by which somebody signs in; nobody else sees it. */
export function SignInNameField({ value, onChange, help }: SignInNameFieldProps) {
  return (
    <Field label="Name to sign in by" help={help}>
      {({ id, describedBy }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          className={controlLook}
          autoComplete="username"
          autoCapitalize="off"
          spellCheck={false}
          maxLength={60}
          value={value}
          onChange={event => onChange(event.target.value)}
        />
      )}
    </Field>
  )
}

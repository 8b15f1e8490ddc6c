import { controlLook, Field } from './Field'
import { useTyped } from './use-typed'

interface TextFieldProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
  readonly help?: string
  /** It may be left empty. */
  readonly optional?: boolean
  /** So many letters at most. */
  readonly most?: number
}

/** Hands the text on when the field is left: a name is no name before it is finished. */
export function TextField({ label, value, onChange, help, optional = false, most = 120 }: TextFieldProps) {
  const [text, setText] = useTyped(value)
  const leave = () => {
    if ((optional || text.trim()) && text !== value) onChange(text.trim())
    else setText(value)
  }
  return (
    <Field label={label} help={help}>
      {({ id, describedBy }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          className={controlLook}
          maxLength={most}
          value={text}
          onChange={event => setText(event.target.value)}
          onBlur={leave}
          onKeyDown={event => event.key === 'Enter' && leave()}
        />
      )}
    </Field>
  )
}

import { controlLook, Field } from './Field'
import { useTyped } from './use-typed'

interface TextFieldProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
}

/** Hands the text on when the field is left: a name is no name before it is finished. */
export function TextField({ label, value, onChange }: TextFieldProps) {
  const [text, setText] = useTyped(value)
  const leave = () => {
    if (text.trim() && text !== value) onChange(text.trim())
    else setText(value)
  }
  return (
    <Field label={label}>
      {({ id }) => (
        <input
          id={id}
          className={controlLook}
          maxLength={120}
          value={text}
          onChange={event => setText(event.target.value)}
          onBlur={leave}
          onKeyDown={event => event.key === 'Enter' && leave()}
        />
      )}
    </Field>
  )
}

import { controlLook, Field } from './Field'
import { useTyped } from './use-typed'

interface NoteFieldProps {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
}

/** A few words of one’s own; handed on when the field is left. */
export function NoteField({ label, value, onChange }: NoteFieldProps) {
  const [text, setText] = useTyped(value)
  return (
    <Field label={label}>
      {({ id }) => (
        <textarea
          id={id}
          className={`${controlLook} min-h-11 py-2`}
          rows={2}
          maxLength={4000}
          value={text}
          onChange={event => setText(event.target.value)}
          onBlur={() => text !== value && onChange(text)}
        />
      )}
    </Field>
  )
}

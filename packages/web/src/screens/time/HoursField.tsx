import { parseExceptions, parseWeeklyHours, settingFields } from '@snowdrift/core'
import { controlLook, Field } from '../../parts/Field'
import { useTyped } from '../../parts/use-typed'

const parsers = { sessions: parseWeeklyHours, exceptions: parseExceptions }

interface HoursFieldProps {
  readonly name: keyof typeof parsers
  readonly value: string
  /** Only what can be read is handed on; until then it stands as it was typed. */
  readonly onChange: (typed: string) => void
}

/** Times as one says them. What cannot be read says why, and nothing is planned from it. */
export function HoursField({ name, value, onChange }: HoursFieldProps) {
  const [text, setText] = useTyped(value)
  const read = parsers[name](text)
  const { label, help } = settingFields[name]
  return (
    <Field label={label} help={read.ok ? help : <span className="text-bad">{read.message}</span>}>
      {({ id, describedBy }) => (
        <textarea
          id={id}
          rows={2}
          aria-describedby={describedBy}
          aria-invalid={!read.ok}
          className={controlLook}
          maxLength={1000}
          value={text}
          onChange={event => {
            setText(event.target.value)
            if (parsers[name](event.target.value).ok) onChange(event.target.value)
          }}
        />
      )}
    </Field>
  )
}

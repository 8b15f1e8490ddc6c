import { useState } from 'react'
import { controlLook, Field } from './Field'
import { textOfNumber, unreadNumber } from './unread'

interface CountFieldProps {
  readonly label: string
  readonly help: string
  readonly value: number | undefined
  readonly fallback: number | undefined
  readonly min: number
  readonly max: number
  readonly onChange: (count: number | undefined) => void
}

/** A whole number. What is out of range or no number is handed on as it was typed; emptied, it is cleared. */
export function CountField({ label, help, value, fallback, min, max, onChange }: CountFieldProps) {
  const shown = textOfNumber(value)
  const [typed, setTyped] = useState({ text: shown, given: shown })
  const text = typed.given === shown ? typed.text : shown
  const wrong = text !== '' && read(text, min, max) === undefined
  const take = (next: string) => {
    setTyped({ text: next, given: next })
    onChange(next === '' ? undefined : (read(next, min, max) ?? unreadNumber(next)))
  }
  return (
    <Field label={label} help={wrong ? `Expected a whole number from ${min} to ${max}.` : help}>
      {({ id, describedBy }) => (
        <input
          id={id}
          aria-describedby={describedBy}
          aria-invalid={wrong}
          inputMode="numeric"
          className={`${controlLook} max-w-20 text-lg`}
          value={text}
          placeholder={fallback === undefined ? '' : String(fallback)}
          onChange={event => take(event.target.value.trim())}
        />
      )}
    </Field>
  )
}

function read(text: string, min: number, max: number): number | undefined {
  const count = /^\d+$/.test(text) ? Number(text) : NaN
  return count >= min && count <= max ? count : undefined
}

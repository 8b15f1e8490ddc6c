import { useState } from 'react'
import { controlLook, Field } from './Field'
import { textOfNumber, unreadNumber } from './unread'

interface PercentFieldProps {
  readonly label: string
  readonly value: number
  readonly most?: number
  readonly onChange: (percent: number) => void
}

/** A percentage from 0 to `most`. What is out of range or no number is handed on as it was typed. */
export function PercentField({ label, value, most = 100, onChange }: PercentFieldProps) {
  const shown = typeof value === 'number' ? String(Math.round(value * 100) / 100) : textOfNumber(value)
  const [typed, setTyped] = useState({ text: shown, given: shown })
  const text = typed.given === shown ? typed.text : shown
  const take = (next: string) => {
    const percent = read(next, most)
    setTyped({ text: next, given: percent === undefined ? next : String(percent) })
    onChange(percent ?? unreadNumber(next))
  }
  const wrong = read(text, most) === undefined
  return (
    <Field label={label} help={wrong ? `Expected a number from 0 to ${most}.` : undefined}>
      {({ id, describedBy }) => (
        <div className="flex items-baseline gap-1.5">
          <input
            id={id}
            aria-describedby={describedBy}
            aria-invalid={wrong}
            inputMode="decimal"
            className={`${controlLook} max-w-20`}
            value={text}
            onChange={event => take(event.target.value)}
          />
          <span className="text-soft">%</span>
        </div>
      )}
    </Field>
  )
}

function read(text: string, most: number): number | undefined {
  if (!/^\s*\d+([.,]\d+)?\s*$/.test(text)) return undefined
  const percent = Math.round(Number(text.replace(',', '.')) * 100) / 100
  return percent <= most ? percent : undefined
}

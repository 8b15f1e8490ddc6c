import { readLengths, type LengthRange, type Unit } from '@snowdrift/core'
import { useState } from 'react'
import { controlLook, Field } from '../../parts/Field'

interface LengthsFieldProps {
  readonly label: string
  readonly help: string
  readonly unit: Unit
  readonly value: string
  readonly range: LengthRange
  readonly onChange: (typed: string) => void
}

/** Several lengths in one field. What cannot be read stays as it was typed, is said, and changes nothing. */
export function LengthsField({ label, help, unit, value, range, onChange }: LengthsFieldProps) {
  const [unread, setUnread] = useState<{ readonly typed: string; readonly message: string }>()
  const take = (typed: string) => {
    const read = readLengths(typed, unit, range)
    setUnread(read.ok ? undefined : { typed, message: read.message })
    if (read.ok) onChange(typed)
  }
  return (
    <Field label={label} help={help}>
      {({ id, describedBy }) => (
        <>
          <input
            id={id}
            aria-describedby={describedBy}
            aria-invalid={unread !== undefined}
            className={`${controlLook} max-w-56`}
            maxLength={100}
            value={unread?.typed ?? value}
            onChange={event => take(event.target.value)}
          />
          {unread && (
            <p role="alert" className="text-sm text-bad">
              {unread.message}
            </p>
          )}
        </>
      )}
    </Field>
  )
}

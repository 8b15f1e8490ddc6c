import { longestPassphrase } from '@snowdrift/core'
import { Eye, EyeOff } from 'lucide-react'
import { useState } from 'react'
import { controlLook, Field } from './Field'
import { IconButton } from './IconButton'
import { PassphraseMeter } from './PassphraseMeter'

interface PassphraseFieldProps {
  readonly label?: string
  readonly help?: string
  /** Whether one is chosen here, so that whoever keeps passphrases offers one. */
  readonly isNew?: boolean
  /** What others know of whoever chooses it: no part of a good one. */
  readonly own?: readonly string[]
  /** Whether the cursor stands in it from the start, where it is what is asked. */
  readonly autoFocus?: boolean
  readonly value: string
  readonly onChange: (passphrase: string) => void
}

/** A passphrase, hidden until somebody wants to see it. It can be pasted, and kept by whatever keeps such things. */
export function PassphraseField({
  label = 'Passphrase',
  help,
  isNew = false,
  own = [],
  autoFocus = false,
  value,
  onChange,
}: PassphraseFieldProps) {
  const [isShown, setShown] = useState(false)
  return (
    <Field label={label} help={help}>
      {({ id, describedBy }) => (
        <>
          <div className="flex gap-1">
            <input
              id={id}
              aria-describedby={describedBy}
              className={controlLook}
              type={isShown ? 'text' : 'password'}
              autoComplete={isNew ? 'new-password' : 'current-password'}
              autoCapitalize="off"
              spellCheck={false}
              autoFocus={autoFocus}
              maxLength={2 * longestPassphrase}
              value={value}
              onChange={event => onChange(event.target.value)}
            />
            <IconButton
              icon={isShown ? EyeOff : Eye}
              large
              label={isShown ? 'Hide the passphrase' : 'Show the passphrase'}
              onClick={() => setShown(!isShown)}
            />
          </div>
          {isNew && <PassphraseMeter passphrase={value} own={own} />}
        </>
      )}
    </Field>
  )
}

import { parseRecoveryCode, shortestPassphrase } from '@snowdrift/core'
import { useState, type SubmitEvent } from 'react'
import { useRecoverMutation } from '../../api/people-api'
import { Button } from '../../parts/Button'
import { controlLook, Field } from '../../parts/Field'
import { PassphraseField } from '../../parts/PassphraseField'
import { Trouble } from '../../parts/Trouble'
import { guessDeviceName } from '../pair/guess-device-name'
import { Alone } from './Alone'
import { newPassphraseHelp } from './new-passphrase-help'
import { SignInNameField } from './SignInNameField'
import { goOnIf } from './go-on-if'

/** The way in for whoever lost everything but a code. */
export function Recover({ onBack }: { readonly onBack: () => void }) {
  const [signInName, setName] = useState('')
  const [code, setCode] = useState('')
  const [passphrase, setPassphrase] = useState('')
  const [recover, { isLoading, error }] = useRecoverMutation()
  const isReady =
    signInName.trim() !== '' &&
    parseRecoveryCode(code) !== undefined &&
    passphrase.length >= shortestPassphrase
  const send = async (event: SubmitEvent) => {
    event.preventDefault()
    goOnIf(await recover({ signInName, code, passphrase, device: guessDeviceName(navigator.userAgent) }))
  }
  return (
    <Alone title="Come in by a code">
      <p className="text-soft">
        You got ten of them when you joined; each lets you in once, with a new passphrase. Wherever you are
        signed in now you will be signed out.
      </p>
      <form className="grid gap-5" onSubmit={event => void send(event)}>
        <SignInNameField value={signInName} onChange={setName} />
        <Field label="Recovery code" help="Sixteen letters and digits.">
          {({ id, describedBy }) => (
            <input
              id={id}
              aria-describedby={describedBy}
              className={`${controlLook} tracking-wide uppercase`}
              autoComplete="off"
              autoCapitalize="characters"
              spellCheck={false}
              maxLength={30}
              value={code}
              onChange={event => setCode(event.target.value)}
            />
          )}
        </Field>
        <PassphraseField
          label="New passphrase"
          isNew
          own={[signInName]}
          help={newPassphraseHelp}
          value={passphrase}
          onChange={setPassphrase}
        />
        <Trouble error={error} />
        <div className="flex gap-3">
          <Button look="act" type="submit" disabled={isLoading || !isReady}>
            Come in
          </Button>
          <Button look="quiet" onClick={onBack}>
            Back
          </Button>
        </div>
      </form>
    </Alone>
  )
}

import { KeyRound } from 'lucide-react'
import { useEffect, useState, type SubmitEvent } from 'react'
import { useAskToEnterMutation, useEnterMutation } from '../../api/people-api'
import { forgetAnswers } from '../../app/leave-device'
import { Button } from '../../parts/Button'
import { PassphraseField } from '../../parts/PassphraseField'
import { Trouble } from '../../parts/Trouble'
import { usePageTitle } from '../../views/use-page-title'
import { guessDeviceName } from '../pair/guess-device-name'
import { Alone } from './Alone'
import { goOnIf } from './go-on-if'
import { hasPasskeys, showPasskey } from './passkeys'
import { Recover } from './Recover'
import { SignInNameField } from './SignInNameField'

/** Where people sign in. */
export function Screen() {
  usePageTitle('Sign in')
  const [isLost, setLost] = useState(false)
  // Whoever is not in, or not any more, keeps nothing of what was shown.
  useEffect(() => void forgetAnswers(), [])
  return isLost ? <Recover onBack={() => setLost(false)} /> : <SignIn onLost={() => setLost(true)} />
}

function SignIn({ onLost }: { readonly onLost: () => void }) {
  const [signInName, setName] = useState('')
  const [passphrase, setPassphrase] = useState('')
  const [why, setWhy] = useState<string>()
  const [ask, asking] = useAskToEnterMutation()
  const [enter, entering] = useEnterMutation()
  const isBusy = asking.isLoading || entering.isLoading
  const device = guessDeviceName(navigator.userAgent)
  const byPassphrase = async (event: SubmitEvent) => {
    event.preventDefault()
    setWhy(undefined)
    goOnIf(await enter({ signInName, passphrase, device }))
  }
  const byPasskey = async () => {
    setWhy(undefined)
    const { data: asked } = await ask()
    if (!asked) return
    const shown = await showPasskey(asked)
    if (shown.ok) goOnIf(await enter({ passkey: shown.passkey, device }))
    else setWhy(shown.why)
  }
  return (
    <Alone title="Sign in">
      {hasPasskeys() && (
        <>
          <Button look="act" className="min-h-11" disabled={isBusy} onClick={() => void byPasskey()}>
            <KeyRound className="size-4" aria-hidden /> With a passkey
          </Button>
          <p className="text-soft">or by name and passphrase:</p>
        </>
      )}
      <form className="grid gap-5" onSubmit={event => void byPassphrase(event)}>
        <SignInNameField value={signInName} onChange={setName} />
        <PassphraseField value={passphrase} onChange={setPassphrase} />
        <Trouble>{why}</Trouble>
        <Trouble error={entering.error ?? asking.error} />
        <Button
          look={hasPasskeys() ? 'plain' : 'act'}
          type="submit"
          className="min-h-11"
          disabled={isBusy || signInName.trim() === '' || passphrase === ''}
        >
          Sign in
        </Button>
      </form>
      <p className="text-soft">
        Neither passkey nor passphrase?{' '}
        <button className="text-thread underline" onClick={onLost}>
          Come in by a recovery code
        </button>
        . Whoever is new needs an invitation: open its whole link.
      </p>
    </Alone>
  )
}

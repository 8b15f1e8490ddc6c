import { shortestPassphrase } from '@snowdrift/core'
import { skipToken } from '@reduxjs/toolkit/query/react'
import { KeyRound } from 'lucide-react'
import { useState, type SubmitEvent } from 'react'
import { useHereQuery } from '../../api/api'
import {
  useAskToJoinMutation,
  useInvitedQuery,
  useJoinAlsoMutation,
  useJoinMutation,
  type NewPasskey,
} from '../../api/people-api'
import { Button } from '../../parts/Button'
import { controlLook, Field } from '../../parts/Field'
import { PassphraseField } from '../../parts/PassphraseField'
import { Toggle } from '../../parts/Toggle'
import { Trouble } from '../../parts/Trouble'
import { usePageTitle } from '../../views/use-page-title'
import { guessDeviceName } from '../pair/guess-device-name'
import { roleWords } from '../people/people-words'
import { Alone } from './Alone'
import { newPassphraseHelp } from './new-passphrase-help'
import { hasPasskeys, makePasskey } from './passkeys'
import { RecoveryCodes } from './RecoveryCodes'
import { SignInNameField } from './SignInNameField'
import { goOnIf } from './go-on-if'

/** Where somebody joins a workshop by an invitation, as somebody new or with the account that they have. */
export function Screen() {
  usePageTitle('Join a workshop')
  // The secret stands behind the #, where no server sees it.
  const [token] = useState(() => location.hash.slice(1))
  const { data: invited, error } = useInvitedQuery(token === '' ? skipToken : token)
  const { data: here } = useHereQuery()
  const [codes, setCodes] = useState<readonly string[]>()
  if (codes)
    return (
      <Alone title="You are in">
        <RecoveryCodes codes={codes} />
        <Button look="act" className="min-h-11" onClick={() => location.replace('/')}>
          I have kept them: to the shelf
        </Button>
      </Alone>
    )
  return (
    <Alone title="Join a workshop">
      {token === '' && <Trouble>This is no whole invitation. Open the link as it was given to you.</Trouble>}
      <Trouble error={error} />
      {invited && (
        <>
          <p>
            You are invited to “<bdi className="font-medium">{invited.workshop}</bdi>”,{' '}
            {roleWords[invited.role].as}.
          </p>
          {here?.person ? (
            <JoinAlso token={token} name={here.person.name} />
          ) : (
            <JoinAnew token={token} onJoined={setCodes} />
          )}
        </>
      )}
    </Alone>
  )
}

function JoinAlso({ token, name }: { readonly token: string; readonly name: string }) {
  const [join, { isLoading, error }] = useJoinAlsoMutation()
  return (
    <div className="grid gap-4">
      <p>
        You are signed in as <bdi className="font-medium">{name}</bdi>.
      </p>
      <Trouble error={error} />
      <Button
        look="act"
        className="min-h-11"
        disabled={isLoading}
        onClick={() => void join({ token }).then(goOnIf)}
      >
        Join with this account
      </Button>
    </div>
  )
}

const ways = { passkey: 'A passkey', passphrase: 'A passphrase' } as const

interface JoinAnewProps {
  readonly token: string
  readonly onJoined: (codes: readonly string[]) => void
}

function JoinAnew({ token, onJoined }: JoinAnewProps) {
  const [name, setName] = useState('')
  const [signInName, setSignInName] = useState('')
  const [passphrase, setPassphrase] = useState('')
  const [way, setWay] = useState<keyof typeof ways>(hasPasskeys() ? 'passkey' : 'passphrase')
  const [why, setWhy] = useState<string>()
  const [made, setMade] = useState<NewPasskey>()
  const [ask, asking] = useAskToJoinMutation()
  const [join, joining] = useJoinMutation()
  const isNamed = name.trim() !== '' && signInName.trim().length >= 3
  const isReady = isNamed && (way === 'passkey' || passphrase.length >= shortestPassphrase)
  const device = guessDeviceName(navigator.userAgent)
  const send = async (event: SubmitEvent) => {
    event.preventDefault()
    setWhy(undefined)
    const proof = way === 'passphrase' ? { passphrase } : (made ?? (await newPasskey()))
    if (!proof) return
    const { data } = await join({ token, name, signInName, device, ...proof })
    // An answer of a passkey is taken once, whatever came of it.
    setMade(undefined)
    if (data) onJoined(data.codes)
  }
  const newPasskey = async (): Promise<NewPasskey | undefined> => {
    const { data: asked } = await ask({ token })
    if (!asked) return undefined
    const shown = await makePasskey(asked)
    if (shown.ok) return { passkey: shown.passkey, passkeyName: device }
    setWhy(shown.why)
    return undefined
  }
  return (
    <form className="grid gap-5" onSubmit={event => void send(event)}>
      <Field label="Your name" help="As the others see it.">
        {({ id, describedBy }) => (
          <input
            id={id}
            aria-describedby={describedBy}
            className={controlLook}
            autoComplete="name"
            maxLength={60}
            value={name}
            onChange={event => setName(event.target.value)}
          />
        )}
      </Field>
      <SignInNameField
        value={signInName}
        onChange={setSignInName}
        help="Only you see it: letters and digits, without blanks."
      />
      {hasPasskeys() && (
        <div className="grid justify-items-start gap-2">
          <span className="font-medium">You sign in with</span>
          <Toggle label="You sign in with" value={way} choices={ways} onChange={setWay} />
        </div>
      )}
      {way === 'passphrase' ? (
        <PassphraseField
          isNew
          own={[signInName, name]}
          help={newPassphraseHelp}
          value={passphrase}
          onChange={setPassphrase}
        />
      ) : (
        <p className="text-soft">
          This device, or another that you have by you, keeps a key for you: a finger, a face or its code
          opens it. Nothing is to be remembered, and nothing can be taken from here.
        </p>
      )}
      <p className="text-sm text-soft">
        Kept of you are your name, by which the others of the workshop know you, what you sign in with, and
        what you make here; nothing of it goes anywhere else. Under “Your account” you take all of it out, or
        have it deleted. By joining you agree to that.
      </p>
      <Trouble>{why}</Trouble>
      <Trouble error={joining.error ?? asking.error} />
      <Button
        look="act"
        type="submit"
        className="min-h-11"
        disabled={!isReady || joining.isLoading || asking.isLoading}
      >
        {way === 'passkey' && <KeyRound className="size-4" aria-hidden />} Join
      </Button>
    </form>
  )
}

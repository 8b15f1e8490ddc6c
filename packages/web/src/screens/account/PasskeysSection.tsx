import type { Passkey } from '@snowdrift/core'
import { KeyRound } from 'lucide-react'
import { useState } from 'react'
import {
  useAddPasskeyMutation,
  useAskForPasskeyMutation,
  useRemovePasskeyMutation,
} from '../../api/people-api'
import { Button } from '../../parts/Button'
import { Trouble } from '../../parts/Trouble'
import { hasPasskeys, makePasskey } from '../enter/passkeys'
import { guessDeviceName } from '../pair/guess-device-name'
import { passkeyUseWords } from './account-words'
import { Row, Section } from './Section'
import { isUnconfirmed, type useConfirmed } from './use-confirmed'

interface PasskeysSectionProps {
  readonly passkeys: readonly Passkey[]
  readonly run: ReturnType<typeof useConfirmed>['run']
}

/** Keys that devices hold: seen, added, taken away. */
export function PasskeysSection({ passkeys, run }: PasskeysSectionProps) {
  const [why, setWhy] = useState<string>()
  const [ask, asking] = useAskForPasskeyMutation()
  const [add, adding] = useAddPasskeyMutation()
  const [remove, removing] = useRemovePasskeyMutation()
  const error = asking.error ?? adding.error ?? removing.error
  const make = async () => {
    setWhy(undefined)
    const asked = await ask()
    if (!asked.data) return asked
    const shown = await makePasskey(asked.data)
    if (shown.ok) return add({ passkey: shown.passkey, passkeyName: guessDeviceName(navigator.userAgent) })
    setWhy(shown.why)
    return {}
  }
  return (
    <Section title="Passkeys">
      <p className="text-soft">
        A device keeps a key for you, which a finger, a face or its code opens. Have one on each device, or on
        one that you always have by you.
      </p>
      {passkeys.length > 0 && (
        <ul className="grid" aria-label="Passkeys">
          {passkeys.map(passkey => (
            <Row key={passkey.id} name={passkey.name} words={passkeyUseWords(passkey, new Date())}>
              <Button
                look="quiet"
                disabled={removing.isLoading}
                aria-label={`Take away: ${passkey.name}`}
                onClick={() => void run(() => remove(passkey.id))}
              >
                Take away
              </Button>
            </Row>
          ))}
        </ul>
      )}
      <Trouble>{why}</Trouble>
      {!isUnconfirmed(error) && <Trouble error={error} />}
      <div>
        {hasPasskeys() ? (
          <Button disabled={asking.isLoading || adding.isLoading} onClick={() => void run(make)}>
            <KeyRound className="size-4" aria-hidden /> Add one
          </Button>
        ) : (
          <p className="text-soft">This browser holds none at this address.</p>
        )}
      </div>
    </Section>
  )
}

import { shortestPassphrase } from '@snowdrift/core'
import { useState, type SubmitEvent } from 'react'
import { useChoosePassphraseMutation } from '../../api/people-api'
import { Button } from '../../parts/Button'
import { PassphraseField } from '../../parts/PassphraseField'
import { Trouble } from '../../parts/Trouble'
import { newPassphraseHelp } from '../enter/new-passphrase-help'
import { Section } from './Section'
import { isUnconfirmed, type useConfirmed } from './use-confirmed'

interface PassphraseSectionProps {
  readonly hasPassphrase: boolean
  /** What others know of its owner: no part of a good one. */
  readonly own: readonly string[]
  readonly run: ReturnType<typeof useConfirmed>['run']
}

/** The passphrase, chosen or chosen anew. */
export function PassphraseSection({ hasPassphrase, own, run }: PassphraseSectionProps) {
  const [passphrase, setPassphrase] = useState('')
  const [choose, { isLoading, isSuccess, error, reset }] = useChoosePassphraseMutation()
  const chosen = async () => {
    const answer = await choose({ passphrase })
    if (!answer.error) setPassphrase('')
    return answer
  }
  const send = (event: SubmitEvent) => {
    event.preventDefault()
    void run(chosen)
  }
  return (
    <Section title="Passphrase">
      <p className="text-soft">
        {hasPassphrase
          ? 'With another one you stay signed in here, and are signed out everywhere else.'
          : 'You have none, and need none while you have a passkey.'}
      </p>
      <form className="grid gap-4" onSubmit={send}>
        <PassphraseField
          label={hasPassphrase ? 'Another passphrase' : 'A passphrase'}
          isNew
          own={own}
          help={newPassphraseHelp}
          value={passphrase}
          onChange={next => {
            setPassphrase(next)
            // what was refused is another one
            if (error) reset()
          }}
        />
        {!isUnconfirmed(error) && <Trouble error={error} />}
        <div className="flex flex-wrap items-center gap-3">
          <Button type="submit" disabled={isLoading || passphrase.length < shortestPassphrase}>
            Take this one
          </Button>
          {isSuccess && passphrase === '' && (
            <span role="status" className="text-good">
              It holds from now on.
            </span>
          )}
        </div>
      </form>
    </Section>
  )
}

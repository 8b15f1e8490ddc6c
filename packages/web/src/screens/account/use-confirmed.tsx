import type { Problem } from '@snowdrift/core'
import { KeyRound } from 'lucide-react'
import { useState, type ReactNode, type SubmitEvent } from 'react'
import { useAskToConfirmMutation, useConfirmMutation } from '../../api/people-api'
import { Button } from '../../parts/Button'
import { Modal } from '../../parts/Modal'
import { PassphraseField } from '../../parts/PassphraseField'
import { Trouble } from '../../parts/Trouble'
import { showPasskey } from '../enter/passkeys'

interface Answered {
  readonly error?: unknown
}

interface Confirmed {
  /** Does what only somebody may who proved a short while ago who they are; asks them first where they did not. */
  readonly run: (action: () => Promise<Answered>) => Promise<void>
  /** Where they are asked; belongs into the page. */
  readonly dialog: ReactNode
}

interface Ways {
  readonly hasPassphrase: boolean
  readonly hasPasskey: boolean
}

export function useConfirmed(ways: Ways): Confirmed {
  const [waiting, setWaiting] = useState<() => Promise<Answered>>()
  const run: Confirmed['run'] = async action => {
    const { error } = await action()
    if (isUnconfirmed(error)) setWaiting(() => action)
  }
  const goOn = async () => {
    const action = waiting
    setWaiting(undefined)
    await action?.()
  }
  return {
    run,
    dialog: waiting && (
      <Confirm ways={ways} onConfirmed={() => void goOn()} onClose={() => setWaiting(undefined)} />
    ),
  }
}

/** Whether the server asks who it is, which is asked here and is no trouble. */
export function isUnconfirmed(error: unknown): boolean {
  const { data } = (error ?? {}) as { readonly data?: Partial<Problem> }
  return data?.type === '/problems/unconfirmed'
}

interface ConfirmProps {
  readonly ways: Ways
  readonly onConfirmed: () => void
  readonly onClose: () => void
}

function Confirm({ ways: { hasPassphrase, hasPasskey }, onConfirmed, onClose }: ConfirmProps) {
  const [passphrase, setPassphrase] = useState('')
  const [why, setWhy] = useState<string>()
  const [ask, asking] = useAskToConfirmMutation()
  const [confirm, { isLoading, error }] = useConfirmMutation()
  const byPassphrase = async (event: SubmitEvent) => {
    event.preventDefault()
    if (!(await confirm({ passphrase })).error) onConfirmed()
  }
  const byPasskey = async () => {
    setWhy(undefined)
    const { data: asked } = await ask()
    if (!asked) return
    const shown = await showPasskey(asked)
    if (!shown.ok) setWhy(shown.why)
    else if (!(await confirm({ passkey: shown.passkey })).error) onConfirmed()
  }
  return (
    <Modal title="Is it you?" open onClose={onClose}>
      <div className="grid gap-4">
        <p>
          This is hard to take back, so show once more that it is you. For ten minutes you are not asked
          again.
        </p>
        {hasPasskey && (
          <Button look="act" disabled={isLoading || asking.isLoading} onClick={() => void byPasskey()}>
            <KeyRound className="size-4" aria-hidden /> With a passkey
          </Button>
        )}
        <Trouble>{why}</Trouble>
        {hasPassphrase && (
          <form className="grid gap-4" onSubmit={event => void byPassphrase(event)}>
            <PassphraseField autoFocus={!hasPasskey} value={passphrase} onChange={setPassphrase} />
            <Button
              look={hasPasskey ? 'plain' : 'act'}
              type="submit"
              disabled={isLoading || passphrase === ''}
            >
              It is me
            </Button>
          </form>
        )}
        <Trouble error={error ?? asking.error} />
      </div>
    </Modal>
  )
}

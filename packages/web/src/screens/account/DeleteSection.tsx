import type { Account } from '@snowdrift/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useDeleteAccountMutation, usePeopleQuery } from '../../api/people-api'
import { leaveDevice } from '../../app/leave-device'
import { Button } from '../../parts/Button'
import { CheckField } from '../../parts/CheckField'
import { Modal } from '../../parts/Modal'
import { Trouble } from '../../parts/Trouble'
import { Section } from './Section'
import { isUnconfirmed, type useConfirmed } from './use-confirmed'

interface DeleteSectionProps {
  readonly account: Account
  readonly run: ReturnType<typeof useConfirmed>['run']
}

/** The end of an account, with what goes with it. */
export function DeleteSection({ account, run }: DeleteSectionProps) {
  const [asks, setAsks] = useState(false)
  return (
    <Section title="Delete your account">
      <p className="text-soft">
        You and all that you sign in by are forgotten. Take the workshop out first, under{' '}
        <Link className="text-thread underline" to="/settings">
          Settings
        </Link>
        , as one file that any Snowdrift takes in.
      </p>
      <div>
        <Button onClick={() => setAsks(true)}>Delete your account …</Button>
      </div>
      {asks && <Delete account={account} run={run} onClose={() => setAsks(false)} />}
    </Section>
  )
}

function Delete({ account, run, onClose }: DeleteSectionProps & { readonly onClose: () => void }) {
  const [isSure, setSure] = useState(false)
  const [deleteAccount, { isLoading, error }] = useDeleteAccountMutation()
  const { data: people } = usePeopleQuery()
  const owned = account.workshops.filter(({ role }) => role === 'owner')
  const helpers = people?.members.filter(({ id, role }) => id !== account.id && role !== 'owner') ?? []
  const remove = async () => {
    const answer = await deleteAccount()
    if (answer.error) return answer
    await leaveDevice()
    location.replace('/sign-in')
    return answer
  }
  return (
    <Modal title="Delete your account" open onClose={onClose}>
      <div className="grid gap-4">
        {owned.length > 0 ? (
          <>
            <p>
              With it goes every workshop that you alone own, with everything in it and for everybody:{' '}
              {owned.map(({ name }) => `“${name}”`).join(', ')}. One that has another owner stays.
            </p>
            {helpers.length > 0 && (
              <p>
                Make one of the others an owner first, and it stays:{' '}
                <Link className="text-thread underline" to="/people">
                  who belongs to it
                </Link>
                .
              </p>
            )}
          </>
        ) : (
          <p>What you made in workshops of others stays there, without your name.</p>
        )}
        <CheckField label="Yes, for good: it cannot be brought back" checked={isSure} onChange={setSure} />
        {!isUnconfirmed(error) && <Trouble error={error} />}
        <div className="flex gap-3">
          <Button disabled={!isSure || isLoading} onClick={() => void run(remove)}>
            Delete it
          </Button>
          <Button look="act" onClick={onClose}>
            Keep it
          </Button>
        </div>
      </div>
    </Modal>
  )
}

import type { Account } from '@snowdrift/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useAccountQuery, useEnterWorkshopMutation, useRenameMeMutation } from '../../api/people-api'
import { Button } from '../../parts/Button'
import { TextField } from '../../parts/TextField'
import { Trouble } from '../../parts/Trouble'
import { usePageTitle } from '../../views/use-page-title'
import { roleWords } from '../people/people-words'
import { DeleteSection } from './DeleteSection'
import { PassphraseSection } from './PassphraseSection'
import { PasskeysSection } from './PasskeysSection'
import { PlacesSection } from './PlacesSection'
import { CodesSection } from './CodesSection'
import { Row, Section } from './Section'
import { useConfirmed } from './use-confirmed'

/** Somebody about themselves: how they sign in, where they are signed in, what they belong to, and how they leave. */
export function Screen() {
  usePageTitle('Your account')
  const { data, error } = useAccountQuery()
  return (
    <main className="mx-auto grid w-full max-w-xl gap-8 px-4 py-8 sm:px-8">
      <h1 className="text-3xl font-semibold tracking-tight">Your account</h1>
      <Trouble error={error} />
      {data && <AccountParts account={data} />}
    </main>
  )
}

function AccountParts({ account }: { readonly account: Account }) {
  const { hasPassphrase, passkeys } = account
  const { run, dialog } = useConfirmed({ hasPassphrase, hasPasskey: passkeys.length > 0 })
  return (
    <>
      <NameSection account={account} />
      <WorkshopsSection account={account} />
      <PasskeysSection passkeys={passkeys} run={run} />
      <PassphraseSection hasPassphrase={hasPassphrase} own={[account.signInName, account.name]} run={run} />
      <CodesSection left={account.recoveryCodesLeft} run={run} />
      <PlacesSection places={account.sessions} />
      <DeleteSection account={account} run={run} />
      {dialog}
    </>
  )
}

function NameSection({ account: { name, signInName } }: { readonly account: Account }) {
  const [rename, { error }] = useRenameMeMutation()
  return (
    <Section title="You">
      <TextField
        label="Your name"
        most={60}
        value={name}
        onChange={next => void rename({ name: next })}
        help="As the others see it."
      />
      <p>
        You sign in as <span className="font-medium wrap-anywhere">{signInName}</span>; nobody else sees that.
      </p>
      <Trouble error={error} />
    </Section>
  )
}

function WorkshopsSection({ account: { workshops } }: { readonly account: Account }) {
  const [enter, { isLoading, error }] = useEnterWorkshopMutation()
  const [entered, setEntered] = useState<string>()
  // All that is in memory is of the workshop before.
  const go = (id: string) => {
    setEntered(id)
    void enter(id).then(({ error: refused }) => !refused && location.replace('/'))
  }
  return (
    <Section title="Your workshops">
      {workshops.length === 0 && <p className="text-soft">None. Open an invitation to one.</p>}
      <ul className="grid" aria-label="Workshops">
        {workshops.map(({ id, name, role }) => (
          <Row key={id} name={name} words={`${roleWords[role].name}: ${roleWords[role].may}`}>
            {workshops.length > 1 && (
              <Button
                look="quiet"
                disabled={isLoading}
                aria-label={`Go into it: ${name}`}
                onClick={() => go(id)}
              >
                {isLoading && entered === id ? 'Going …' : 'Go into it'}
              </Button>
            )}
          </Row>
        ))}
      </ul>
      <Trouble error={error} />
      {workshops.length > 0 && (
        <p>
          <Link className="text-thread underline" to="/people">
            Who belongs to this workshop
          </Link>
        </p>
      )}
    </Section>
  )
}

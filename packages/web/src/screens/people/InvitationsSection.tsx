import { invitationLink, memberRoles, type Invitation, type MemberRole } from '@snowdrift/core'
import { Copy, UserPlus } from 'lucide-react'
import { useState } from 'react'
import { useInviteMutation, useWithdrawInvitationMutation } from '../../api/people-api'
import { Button } from '../../parts/Button'
import { copyText } from '../../parts/copy-text'
import { controlLook } from '../../parts/Field'
import { Toggle } from '../../parts/Toggle'
import { Trouble } from '../../parts/Trouble'
import { sayDay } from '../../views/day-words'
import { today } from '../../views/own-clock'
import { Row, Section } from '../account/Section'
import { roleWords } from './people-words'

const choices = Object.fromEntries(memberRoles.map(role => [role, roleWords[role].name])) as Record<
  MemberRole,
  string
>

/** How others come into the workshop: each by a link of their own. */
export function InvitationsSection({ invitations }: { readonly invitations: readonly Invitation[] }) {
  const [role, setRole] = useState<MemberRole>('maker')
  const [invite, { data, isLoading, error }] = useInviteMutation()
  const [withdraw, withdrawing] = useWithdrawInvitationMutation()
  // Once somebody came by it, or it was withdrawn, there is nothing left to copy.
  const shown = data && invitations.some(({ id }) => id === data.invitation.id) ? data : undefined
  return (
    <Section title="Invite somebody">
      <div className="flex flex-wrap items-center gap-3">
        <Toggle label="What they may do" value={role} choices={choices} onChange={setRole} />
        <Button look={shown ? 'plain' : 'act'} disabled={isLoading} onClick={() => void invite({ role })}>
          <UserPlus className="size-4" aria-hidden /> Make a link
        </Button>
      </div>
      <Trouble error={error ?? withdrawing.error} />
      {shown && <Link token={shown.token} role={shown.invitation.role} />}
      {invitations.length > 0 && (
        <ul className="grid" aria-label="Open invitations">
          {invitations.map(({ id, role: its, createdAt, expiresAt }) => (
            <Row
              key={id}
              name={`For ${roleWords[its].as.replace('as ', '')}`}
              words={`made on ${sayDay(today(new Date(createdAt)))}, holds until ${sayDay(today(new Date(expiresAt)))}`}
            >
              <Button look="quiet" disabled={withdrawing.isLoading} onClick={() => void withdraw(id)}>
                Withdraw
              </Button>
            </Row>
          ))}
        </ul>
      )}
    </Section>
  )
}

function Link({ token, role }: { readonly token: string; readonly role: MemberRole }) {
  const [copied, setCopied] = useState<string>()
  const link = invitationLink(location.origin, token)
  return (
    <div className="grid gap-2 border-l-3 border-thread pl-4">
      <p>Give this link to one person, {roleWords[role].as}. It lets them in once, and is shown only now.</p>
      <div className="flex gap-2">
        <input
          readOnly
          aria-label="The invitation"
          className={`${controlLook} text-sm`}
          value={link}
          onFocus={event => event.target.select()}
        />
        <Button onClick={() => void copyText(link).then(isCopied => setCopied(isCopied ? link : undefined))}>
          <Copy className="size-4" aria-hidden /> {copied === link ? 'Copied' : 'Copy'}
        </Button>
      </div>
    </div>
  )
}

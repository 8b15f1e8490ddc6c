import type { Member, MemberRole, People } from '@snowdrift/core'
import { memberRoles } from '@snowdrift/core'
import { useState } from 'react'
import { useHereQuery } from '../../api/api'
import {
  usePeopleQuery,
  useRenameWorkshopMutation,
  useSendPersonAwayMutation,
  useSetRoleMutation,
} from '../../api/people-api'
import { Button } from '../../parts/Button'
import { controlLook } from '../../parts/Field'
import { Modal } from '../../parts/Modal'
import { TextField } from '../../parts/TextField'
import { Trouble } from '../../parts/Trouble'
import { sayDay } from '../../views/day-words'
import { today } from '../../views/own-clock'
import { usePageTitle } from '../../views/use-page-title'
import { Row, Section } from '../account/Section'
import { InvitationsSection } from './InvitationsSection'
import { roleWords } from './people-words'
import { WhatHappened } from './WhatHappened'

/** Who belongs to the workshop, and to its owners who is invited and what happened. */
export function Screen() {
  usePageTitle('People')
  const { data, error } = usePeopleQuery()
  const { data: here } = useHereQuery()
  const isOwner = data?.workshop.role === 'owner'
  return (
    <main className="mx-auto grid w-full max-w-xl gap-8 px-4 py-8 sm:px-8">
      <h1 className="text-3xl font-semibold tracking-tight">People</h1>
      <Trouble error={error} />
      {data && here?.person && (
        <>
          {isOwner && <WorkshopName name={data.workshop.name} />}
          <Members people={data} me={here.person.id} />
          {isOwner && <InvitationsSection invitations={data.invitations} />}
          {isOwner && <WhatHappened />}
        </>
      )}
    </main>
  )
}

function WorkshopName({ name }: { readonly name: string }) {
  const [rename, { error }] = useRenameWorkshopMutation()
  return (
    <div className="grid gap-3">
      <TextField
        label="Name of the workshop"
        most={60}
        value={name}
        onChange={next => void rename({ name: next })}
      />
      <Trouble error={error} />
    </div>
  )
}

function Members({ people, me }: { readonly people: People; readonly me: string }) {
  const { workshop, members } = people
  const isOwner = workshop.role === 'owner'
  const [leaving, setLeaving] = useState<Member>()
  const [setRole, { isLoading, error }] = useSetRoleMutation()
  return (
    <Section title={`In “${workshop.name}”`}>
      <ul className="grid" aria-label="Who belongs to it">
        {members.map(member => {
          const { id, name, role, since } = member
          const isMe = id === me
          return (
            <Row
              key={id}
              name={isMe ? `${name} (you)` : name}
              words={`${isOwner ? '' : `${roleWords[role].name}, `}since ${sayDay(today(new Date(since)))}`}
            >
              {isOwner && (
                <select
                  aria-label={`What ${name} may do`}
                  className={`${controlLook} w-auto!`}
                  disabled={isLoading}
                  value={role}
                  onChange={event => void setRole({ id, role: event.target.value as MemberRole })}
                >
                  {memberRoles.map(one => (
                    <option key={one} value={one}>
                      {roleWords[one].name}
                    </option>
                  ))}
                </select>
              )}
              {(isOwner || isMe) && (
                <Button
                  look="quiet"
                  aria-label={isMe ? `Leave: ${workshop.name}` : `Send away: ${name}`}
                  onClick={() => setLeaving(member)}
                >
                  {isMe ? 'Leave' : 'Send away'}
                </Button>
              )}
            </Row>
          )
        })}
      </ul>
      <Trouble error={error} />
      <dl className="grid gap-1 text-sm text-soft">
        {memberRoles.map(role => (
          <div key={role} className="flex gap-1">
            <dt className="font-medium">{roleWords[role].name}:</dt>
            <dd>{roleWords[role].may}</dd>
          </div>
        ))}
      </dl>
      {leaving && <Leave member={leaving} isMe={leaving.id === me} onClose={() => setLeaving(undefined)} />}
    </Section>
  )
}

interface LeaveProps {
  readonly member: Member
  readonly isMe: boolean
  readonly onClose: () => void
}

function Leave({ member: { id, name }, isMe, onClose }: LeaveProps) {
  const [sendAway, { isLoading, error }] = useSendPersonAwayMutation()
  const leave = async () => {
    const { error: refused } = await sendAway(id)
    if (refused) return
    onClose()
    if (isMe) location.replace('/account')
  }
  return (
    <Modal title={isMe ? 'Leave the workshop' : `Send ${name} away`} open onClose={onClose}>
      <div className="grid gap-4">
        <p>
          {isMe
            ? 'You see nothing of it any more, from now on.'
            : 'They see nothing of it any more, from now on.'}{' '}
          What {isMe ? 'you' : 'they'} made stays. To come back takes another invitation.
        </p>
        <Trouble error={error} />
        <div className="flex gap-3">
          <Button disabled={isLoading} onClick={() => void leave()}>
            {isMe ? 'Leave' : 'Send away'}
          </Button>
          <Button look="quiet" onClick={onClose}>
            {isMe ? 'Stay' : 'Keep'}
          </Button>
        </div>
      </div>
    </Modal>
  )
}

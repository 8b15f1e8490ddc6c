import type { SignedIn } from '@snowdrift/core'
import { useState } from 'react'
import { useSignOutAtMutation, useSignOutEverywhereMutation } from '../../api/people-api'
import { leaveDevice } from '../../app/leave-device'
import { useAppSelector } from '../../app/store'
import { Button } from '../../parts/Button'
import { Modal } from '../../parts/Modal'
import { Trouble } from '../../parts/Trouble'
import { placeWords } from './account-words'
import { Row, Section } from './Section'

/** Where somebody is signed in, and how that ends. */
export function PlacesSection({ places }: { readonly places: readonly SignedIn[] }) {
  const [leaving, setLeaving] = useState<'here' | 'everywhere'>()
  const [signOut, { isLoading, error }] = useSignOutAtMutation()
  const here = places.find(({ isThis }) => isThis)
  return (
    <Section title="Where you are signed in">
      <ul className="grid" aria-label="Places where you are signed in">
        {places.map(place => (
          <Row key={place.id} name={place.device} words={placeWords(place, new Date())}>
            <Button
              look="quiet"
              disabled={isLoading}
              aria-label={`Sign out: ${place.isThis ? 'here' : place.device}`}
              onClick={() => (place.isThis ? setLeaving('here') : void signOut(place.id))}
            >
              Sign out
            </Button>
          </Row>
        ))}
      </ul>
      <Trouble error={error} />
      {places.length > 1 && (
        <div>
          <Button onClick={() => setLeaving('everywhere')}>Sign out everywhere …</Button>
        </div>
      )}
      {leaving && here && (
        <Leave here={here} everywhere={leaving === 'everywhere'} onClose={() => setLeaving(undefined)} />
      )}
    </Section>
  )
}

interface LeaveProps {
  readonly here: SignedIn
  readonly everywhere: boolean
  readonly onClose: () => void
}

function Leave({ here, everywhere, onClose }: LeaveProps) {
  const unsaved = useAppSelector(
    ({ drafts }) => Object.values(drafts).filter(draft => draft?.dirty || draft?.pending).length,
  )
  const [signOut, one] = useSignOutAtMutation()
  const [signOutEverywhere, all] = useSignOutEverywhereMutation()
  const leave = async () => {
    const { error } = everywhere ? await signOutEverywhere() : await signOut(here.id)
    if (error) return
    await leaveDevice()
    location.replace('/sign-in')
  }
  return (
    <Modal title={everywhere ? 'Sign out everywhere' : 'Sign out here'} open onClose={onClose}>
      <div className="grid gap-4">
        <p>Everything that this device keeps of the workshop is taken off it.</p>
        {unsaved > 0 && <Trouble>What was changed here and is not saved yet would be lost.</Trouble>}
        <Trouble error={one.error ?? all.error} />
        <div className="flex gap-3">
          <Button
            look={unsaved > 0 ? 'plain' : 'act'}
            disabled={one.isLoading || all.isLoading}
            onClick={() => void leave()}
          >
            Sign out
          </Button>
          <Button look="quiet" onClick={onClose}>
            Stay
          </Button>
        </div>
      </div>
    </Modal>
  )
}

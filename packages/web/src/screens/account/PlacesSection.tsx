import type { SignedIn } from '@snowdrift/core'
import { useState } from 'react'
import { useSignOutAtMutation, useSignOutEverywhereMutation } from '../../api/people-api'
import { LeaveDialog } from '../../app/LeaveDialog'
import { Button } from '../../parts/Button'
import { Trouble } from '../../parts/Trouble'
import { placeWords } from './account-words'
import { Row, Section } from './Section'

/** Where somebody is signed in, and how that ends. */
export function PlacesSection({ places }: { readonly places: readonly SignedIn[] }) {
  const [leaving, setLeaving] = useState<'here' | 'everywhere'>()
  const [signOut, { isLoading, error }] = useSignOutAtMutation()
  const [signOutEverywhere] = useSignOutEverywhereMutation()
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
        <LeaveDialog
          title={leaving === 'here' ? 'Sign out here' : 'Sign out everywhere'}
          act="Sign out"
          letGo={() => (leaving === 'here' ? signOut(here.id) : signOutEverywhere())}
          to="/sign-in"
          onClose={() => setLeaving(undefined)}
        />
      )}
    </Section>
  )
}

import { Link } from 'react-router'
import type { Practised } from './practised'

const invitations = {
  sides: 'Practise which side is up',
  order: 'Practise what comes first',
  opening: 'Practise where it stays open',
} as const satisfies Readonly<Record<Practised, string>>

/** Offered where the slip happens; what was done at the bench waits. */
export function PracticeLink({ of }: { readonly of: Practised }) {
  return (
    <Link className="justify-self-start text-thread underline" to={`/practice?of=${of}`} data-practise={of}>
      {invitations[of]}
    </Link>
  )
}

import type { PersonHere } from '@snowdrift/core'
import { CircleUser, Users } from 'lucide-react'
import { Link } from 'react-router'
import { buttonLooks, buttonShape } from '../../parts/Button'
import { roleWords } from '../people/people-words'

/** Who is signed in, and the ways to their account and to the others. */
export function PersonSection({ person: { name, workshop } }: { readonly person: PersonHere }) {
  const look = `${buttonShape} ${buttonLooks.plain}`
  return (
    <section className="grid gap-4" aria-labelledby="person">
      <h2 id="person" className="text-xl font-semibold">
        You and the others
      </h2>
      <p>
        You are signed in as <bdi className="font-medium">{name}</bdi>
        {workshop && (
          <>
            , in “<bdi>{workshop.name}</bdi>” {roleWords[workshop.role].as}
          </>
        )}
        .
      </p>
      <div className="flex flex-wrap gap-3">
        <Link to="/account" className={look}>
          <CircleUser className="size-4" aria-hidden /> Your account
        </Link>
        <Link to="/people" className={look}>
          <Users className="size-4" aria-hidden /> People
        </Link>
      </div>
    </section>
  )
}

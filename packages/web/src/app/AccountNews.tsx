import { Link } from 'react-router'
import { useHereQuery } from '../api/api'
import { useAccountNewsQuery, useReadAccountNewsMutation } from '../api/account-news-api'
import { Button } from '../parts/Button'
import { sayAccountEvent } from './account-news-words'

/** What became of the account of whoever is here, done elsewhere, until they say that they read it. */
export default function AccountNews() {
  const { data: here } = useHereQuery()
  const isSomebody = Boolean(here?.person)
  const { data: events } = useAccountNewsQuery(undefined, { skip: !isSomebody })
  const [read, { isLoading }] = useReadAccountNewsMutation()
  const [newest] = events ?? []
  if (!isSomebody || !events || !newest) return null
  return (
    <section
      role="status"
      aria-label="Your account"
      className="no-print grid gap-2 border-b border-l-3 border-rule border-l-thread bg-sunken px-4 py-3 sm:px-6"
    >
      <ul className="grid gap-0.5">
        {events.map(event => (
          <li key={event.id} className="wrap-anywhere">
            {sayAccountEvent(event)}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Button disabled={isLoading} onClick={() => void read({ upTo: newest.id })}>
          That was me
        </Button>
        <span className="text-soft">
          If it was not: sign out everywhere and choose another passphrase under{' '}
          <Link to="/account" className="text-thread underline">
            Your account
          </Link>
          .
        </span>
      </div>
    </section>
  )
}

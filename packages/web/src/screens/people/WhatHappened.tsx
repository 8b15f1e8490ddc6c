import { useAuditInfiniteQuery } from '../../api/people-api'
import { Button } from '../../parts/Button'
import { Trouble } from '../../parts/Trouble'
import { Section } from '../account/Section'
import { momentWords } from '../../views/moment-words'
import { auditWords } from './people-words'

/** What was noted of people, the newest first. */
export function WhatHappened() {
  const { data, error, hasNextPage, isFetching, fetchNextPage } = useAuditInfiniteQuery()
  const events = data?.pages.flatMap(({ items }) => items) ?? []
  return (
    <Section title="What happened">
      <ol className="grid" aria-label="What happened, the newest first">
        {events.map(event => (
          <li key={event.id} className="flex flex-wrap gap-x-4 border-t border-rule py-1.5">
            <time dateTime={event.at} className="w-52 text-sm text-soft tabular-nums">
              {momentWords(event.at)}
            </time>
            <span className="min-w-0 flex-1 basis-56 wrap-anywhere">{auditWords(event)}</span>
          </li>
        ))}
      </ol>
      <Trouble error={error} />
      {hasNextPage && (
        <div>
          <Button disabled={isFetching} onClick={() => void fetchNextPage()}>
            What was before
          </Button>
        </div>
      )}
      <p className="text-sm text-soft">Kept for 400 days. Neither what was typed nor where from is noted.</p>
    </Section>
  )
}

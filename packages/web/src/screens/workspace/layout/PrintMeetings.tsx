import {
  describeMeeting,
  meetingOf,
  sayProperly,
  type Layout,
  type LayoutRequest,
  type Meeting,
  type PrintMeeting,
} from '@snowdrift/core'
import { Check, TriangleAlert } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { CheckField } from '../../../parts/CheckField'
import { Fractions } from '../../../parts/Fractions'
import { useCover } from '../cover-context'
import type { GroupJob } from './group-job'
import { namesIn } from './sheet-names'
import type { Cutting } from './use-cutting'
import { withMatch, withoutMatch } from './matches'

interface PrintMeetingsProps {
  readonly job: GroupJob
  readonly request: LayoutRequest
  readonly layout: Layout
  readonly cutting: Cutting
}

/** Where the print may run on from piece to piece: asked for with a tick, and said how it came out. */
export function PrintMeetings({ job, request, layout, cutting }: PrintMeetingsProps) {
  const { group, meetings, hasRepeat } = job
  const matches = cutting.plan.matches ?? []
  // As it is found; whoever opens or shuts it decides from then on.
  const [isOpen] = useState(matches.some(match => match.group === group.key))
  if (meetings.length === 0) return null
  const asked = matches.filter(match => match.group === group.key)
  const isAsked = ({ one, other }: PrintMeeting) =>
    asked.some(match => match.one === one && match.other === other)
  const ask = (meeting: PrintMeeting, on: boolean) =>
    cutting.change(before => ({
      ...before,
      matches: [...(on ? withMatch : withoutMatch)(before.matches ?? [], { group: group.key, ...meeting })],
    }))
  return (
    <details className="rounded-md bg-sunken/60 px-3 py-2" open={isOpen} data-meetings>
      <summary>{sayHowMany(asked.length)}</summary>
      <div className="mt-3 grid gap-2">
        {!hasRepeat && <NoRepeat job={job} />}
        <ul className="grid gap-1">
          {meetings.map(meeting => (
            <li key={`${meeting.one} ${meeting.other}`} className="flex flex-wrap items-center gap-x-4">
              <CheckField
                label={nameOf(job, meeting)}
                checked={isAsked(meeting)}
                disabled={!hasRepeat && !isAsked(meeting)}
                onChange={on => ask(meeting, on)}
              />
              {hasRepeat && isAsked(meeting) && (
                <HowItCame job={job} meeting={howItCame(layout, request, meeting)} />
              )}
            </li>
          ))}
        </ul>
      </div>
    </details>
  )
}

function sayHowMany(asked: number): string {
  if (asked === 0) return 'The print may run on from piece to piece'
  return `The print runs on at ${asked} ${asked === 1 ? 'place' : 'places'}`
}

function nameOf({ group }: GroupJob, { one, other }: PrintMeeting): string {
  const label = (id: string) => group.pieces.find(piece => piece.id === id)?.label ?? id
  return `From ${label(one)} to ${label(other)}`
}

function NoRepeat({ job: { source } }: Pick<PrintMeetingsProps, 'job'>) {
  return (
    <p className="text-sm text-soft">
      {source.material ? (
        <>
          Say first how often the print of {source.material.material.name} comes again:{' '}
          <Link className="text-thread underline" to="/stash">
            its repeat in the stash
          </Link>
          .
        </>
      ) : (
        'Choose the cloth from the stash first: it says how often the print comes again.'
      )}
    </p>
  )
}

function howItCame(layout: Layout, { matches = [] }: LayoutRequest, { one, other }: PrintMeeting) {
  const match = matches.find(({ pieces }) =>
    [one, other].every(id => pieces.some(({ piece }) => piece === id)),
  )
  return match && meetingOf(layout, match, [one, other])
}

function HowItCame({ job, meeting }: { readonly job: GroupJob; readonly meeting: Meeting | undefined }) {
  const { unit } = useCover()
  if (!meeting) return null
  const Icon = meeting.kind === 'meets' ? Check : TriangleAlert
  return (
    <span className="flex items-center gap-1.5 text-sm" role="status" data-meeting={meeting.kind}>
      <Icon className={`size-4 ${meeting.kind === 'meets' ? 'text-good' : 'text-caution'}`} aria-hidden />
      <Fractions text={describeMeeting(meeting, sayProperly(unit), namesIn(job, unit))} />
    </span>
  )
}

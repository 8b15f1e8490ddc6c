import { shareKinds, type ShareKind, type ShareRow } from '@snowdrift/core'
import { Copy, Link2 } from 'lucide-react'
import { useState } from 'react'
import { useCreateShareMutation, useRevokeShareMutation, useSharesQuery } from '../../api/shares-api'
import { describeError } from '../../api/describe-error'
import { Button } from '../../parts/Button'
import { copyText } from '../../parts/copy-text'
import { useOutsideAddress } from './use-outside-address'
import { SelectField } from '../../parts/SelectField'

const words: Readonly<Record<ShareKind, { readonly name: string; readonly what: string }>> = {
  sheet: {
    name: 'To look at the project sheet',
    what: 'For somebody who sews it or waits for it: pictures, pieces, notions. Nothing can be changed there.',
  },
  measure: {
    name: 'To measure the thing',
    what: 'For whoever has it at hand: asked in their unit, with the drawings; you see what came before it counts.',
  },
}

const dayChoices = { '1': 'a day', '14': 'two weeks', '60': 'two months' } as const

/** Links for people outside the workshop: made, copied, taken back. */
export function Links({ id }: { readonly id: string }) {
  const { data: links = [] } = useSharesQuery(id)
  const outside = useOutsideAddress()
  const [create, { error, isLoading }] = useCreateShareMutation()
  const [days, setDays] = useState<keyof typeof dayChoices>('14')
  const [made, setMade] = useState<{ readonly id: string; readonly address: string }>()
  const make = async (kind: ShareKind) => {
    const { data } = await create({ kind, coverId: id, thing: 0, days: Number(days) })
    if (data) setMade({ id: data.share.id, address: `${outside.address}/shared/${data.token}` })
  }
  return (
    <section className="grid gap-4" aria-labelledby="links">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h2 id="links" className="text-xl font-semibold">
          Links for others
        </h2>
        <SelectField label="Each lasts" value={days} choices={dayChoices} onChange={setDays} />
      </div>
      {shareKinds.map(kind => (
        <div key={kind} className="grid gap-2 border-t border-rule pt-3" data-share={kind}>
          <div className="flex flex-wrap items-center justify-between gap-3">
            <div className="min-w-0 flex-1 basis-56">
              <h3 className="font-medium">{words[kind].name}</h3>
              <p className="text-soft">{words[kind].what}</p>
            </div>
            <Button
              disabled={isLoading}
              aria-label={`Make a link: ${words[kind].name}`}
              onClick={() => void make(kind)}
            >
              <Link2 className="size-4" aria-hidden /> Make a link
            </Button>
          </div>
          <ul className="grid gap-2">
            {links
              .filter(link => link.kind === kind)
              .map(link => (
                <GivenLink
                  key={link.id}
                  link={link}
                  {...(made?.id === link.id && { address: made.address })}
                />
              ))}
          </ul>
        </div>
      ))}
      {error && (
        <p role="alert" className="text-bad">
          {describeError(error)}
        </p>
      )}
      <p className="text-sm text-soft">
        {outside.isReached
          ? 'Whoever has a link can open it in the same network as this server.'
          : 'Whoever has a link can open it where this server can be reached; so far that is this computer. Let others reach it under Settings.'}
      </p>
    </section>
  )
}

interface GivenLinkProps {
  readonly link: ShareRow
  /** Known only where it was made just now. */
  readonly address?: string
}

function GivenLink({ link, address }: GivenLinkProps) {
  const [revoke, { isLoading }] = useRevokeShareMutation()
  const [copied, setCopied] = useState(false)
  const until = new Date(link.expiresAt).toLocaleDateString(undefined, { dateStyle: 'medium' })
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1">
      {address !== undefined && (
        <>
          <input
            readOnly
            aria-label="The link"
            value={address}
            className="min-w-0 flex-1 basis-64 rounded-md border border-rule bg-sunken px-2 py-1.5 font-mono text-sm"
            onFocus={event => event.target.select()}
          />
          <Button onClick={() => void copyText(address).then(setCopied)}>
            <Copy className="size-4" aria-hidden /> {copied ? 'Copied' : 'Copy'}
          </Button>
          <p className="basis-full text-sm text-soft">Keep it now: it is not shown again.</p>
        </>
      )}
      <span className="flex-1 text-sm text-soft">
        {link.answer ? 'Measurements came; they wait under Measure. ' : ''}
        Until {until}, {link.triesLeft} {link.kind === 'sheet' ? 'more looks' : 'more tries'}.
      </span>
      <Button look="quiet" small disabled={isLoading} onClick={() => void revoke(link.id)}>
        Take it back
      </Button>
    </li>
  )
}

import { coverTakes, fewestCovers, readDraft, type Cover, type Plan, type ThingRow } from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { useThingsInfiniteQuery } from '../../../api/api'
import { Button } from '../../../parts/Button'
import { MoreButton } from '../../../parts/MoreButton'
import { verdictWords, worstVerdict } from '../../../views/verdict-words'
import { useCover } from '../cover-context'

/** Which other things on the shelf the finished cover would take; of a series, the fewest covers that serve all. */
export function OtherThings({ plan }: { readonly plan: Plan }) {
  const { planned } = useCover()
  const [asked, setAsked] = useState(false)
  const { cover } = planned
  if (!cover) return null
  return (
    <section className="grid gap-3" aria-label="What else it takes">
      {cover.objects.length > 1 && <Fewest cover={cover} />}
      {plan.fits.length > 0 && (
        <>
          <div className="flex flex-wrap items-center gap-3">
            <h3 className="text-lg font-semibold">Would it take something else?</h3>
            {!asked && <Button onClick={() => setAsked(true)}>Ask for the whole shelf</Button>}
          </div>
          {asked && <Answers cover={cover} plan={plan} />}
        </>
      )}
    </section>
  )
}

function Answers({ cover, plan }: { readonly cover: Cover; readonly plan: Plan }) {
  const list = useThingsInfiniteQuery()
  const things = list.data?.pages.flatMap(page => page.items) ?? []
  return (
    <div>
      <ul className="divide-y divide-rule border-y border-rule">
        {things.map(thing => (
          <li key={thing.id} className="flex flex-wrap items-baseline gap-x-3 py-1.5" data-takes={thing.name}>
            <span className="flex-1 font-medium">{thing.name}</span>
            <Answer cover={cover} plan={plan} thing={thing} />
          </li>
        ))}
      </ul>
      <MoreButton list={list} label="The rest of the shelf" className="mt-2" />
    </div>
  )
}

function Answer({
  cover,
  plan,
  thing,
}: {
  readonly cover: Cover
  readonly plan: Plan
  readonly thing: ThingRow
}) {
  const object = useMemo(() => objectOf(thing, cover), [thing, cover])
  const takes = object && coverTakes(cover, plan, object)
  if (!takes || takes.answer === 'unknown') return <span className="text-soft">not measured for that</span>
  const verdict = worstVerdict(takes.fits)
  return (
    <span className={takes.answer === 'yes' ? 'text-good' : 'text-soft'}>
      {takes.answer === 'yes' ? 'takes it' : 'no'}
      {verdict && `, ${verdictWords[verdict]}`}
    </span>
  )
}

/** A thing on the shelf as the computation reads it. */
function objectOf({ object, unit }: ThingRow, { family }: Cover) {
  const read = readDraft({
    format: 'snowdrift/cover',
    version: 2,
    unit,
    object,
    family: family.id,
    layers: [{ role: 'outer', thickness: '0.3 mm' }],
  })
  return read.ok ? read.value.object : undefined
}

function Fewest({ cover }: { readonly cover: Cover }) {
  const groups = useMemo(() => fewestCovers(cover), [cover])
  const words = groups.map(group => group.map(index => index + 1).join(', '))
  return (
    <p data-fewest={groups.length}>
      {groups.length === 1
        ? 'One cover serves all these books.'
        : `These books want ${groups.length} covers: one for books ${words.join('; one for ')}.`}
    </p>
  )
}

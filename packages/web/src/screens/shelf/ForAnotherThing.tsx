import {
  namePiece,
  sayObjectUnit,
  type CoverFile,
  type CoverRow,
  type Plan,
  type ThingRow,
} from '@snowdrift/core'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { v4 as newId } from 'uuid'
import { useCreateCoverMutation, useThingsInfiniteQuery } from '../../api/api'
import { describeError } from '../../api/describe-error'
import { Button } from '../../parts/Button'
import { controlLook, Field } from '../../parts/Field'
import { Length } from '../../parts/Length'
import { plannedOf } from '../../views/planned'
import { useWorkshopUnit } from '../../views/use-workshop-unit'
import { headlineOf } from '../../views/verdict-words'

/** The same cover for another thing: what changes is shown before it is made. */
export function ForAnotherThing({ row }: { readonly row: CoverRow }) {
  const list = useThingsInfiniteQuery()
  const things = list.data?.pages.flatMap(page => page.items) ?? []
  const [thingId, setThingId] = useState('')
  const [coverId] = useState(() => newId())
  const [create, { error, isLoading }] = useCreateCoverMutation()
  const navigate = useNavigate()
  const thing = things.find(({ id }) => id === thingId)
  const file = useMemo(() => (thing ? fileFor(row.file, thing) : copyOf(row.file)), [row, thing])
  const make = async () => {
    const created = await create({ id: coverId, body: { thingId: thing?.id ?? row.thingId, file } })
    if (created.data) await navigate(`/covers/${coverId}/measure`)
  }
  return (
    <section aria-label="Another one like it" className="grid gap-3 border-t border-rule pt-4">
      <h3 className="font-semibold">Another one like it</h3>
      <Field label="For">
        {({ id }) => (
          <select
            id={id}
            className={controlLook}
            value={thingId}
            onChange={event => setThingId(event.target.value)}
          >
            <option value="">the same thing</option>
            {things
              .filter(known => known.id !== row.thingId)
              .map(known => (
                <option key={known.id} value={known.id}>
                  {known.name}
                </option>
              ))}
          </select>
        )}
      </Field>
      {thing && <WhatChanges before={row.file} after={file} />}
      <div>
        <Button look="act" disabled={isLoading} onClick={() => void make()}>
          Make it
        </Button>
      </div>
      {error && <p role="alert">{describeError(error)}</p>}
    </section>
  )
}

function copyOf(file: CoverFile): CoverFile {
  return { ...file, name: `${file.name ?? ''}, another`.replace(/^, /, '').slice(0, 120) }
}

/** What was tried on the other thing, or measured of its old cover, says nothing of this one. */
export function fileFor(file: CoverFile, { name, object, unit }: ThingRow): CoverFile {
  const { objects: _objects, trial: _trial, oldCover: _oldCover, ...others } = file
  const said = unit === (file.unit ?? 'in') ? object : sayObjectUnit(object, unit)
  return { ...others, name: `Cover for ${name}`.slice(0, 120), object: said }
}

function WhatChanges({ before, after }: { readonly before: CoverFile; readonly after: CoverFile }) {
  const unit = useWorkshopUnit(undefined)
  const [was, now] = [plannedOf(before).plan, plannedOf(after).plan]
  if (!now) return <p className="text-soft">The thing is not measured for this way of making yet.</p>
  const { words, tone } = headlineOf(now)
  return (
    <div className="grid gap-2" data-changes>
      <p className={tone}>{words}</p>
      {was && (
        <table className="text-left text-sm">
          <thead className="text-soft">
            <tr>
              <th className="pr-4 font-normal">Piece</th>
              <th className="pr-4 font-normal">now</th>
              <th className="font-normal">for it</th>
            </tr>
          </thead>
          <tbody>
            {changesOf(was, now).map(({ id, from, to }) => (
              <tr key={id}>
                <th scope="row" className="pr-4 font-medium">
                  {namePiece(id)}
                </th>
                <td className="pr-4">{from ? <Size piece={from} unit={unit} /> : '–'}</td>
                <td>{to ? <Size piece={to} unit={unit} /> : '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  )
}

type Sized = Plan['pieces'][number]

function Size({
  piece: { width, height },
  unit,
}: {
  readonly piece: Sized
  readonly unit: Parameters<typeof Length>[0]['unit']
}) {
  return (
    <>
      <Length value={width.cut} unit={unit} bare /> × <Length value={height.cut} unit={unit} />
    </>
  )
}

/** Pieces that come out otherwise, or are only in one of both. */
function changesOf(was: Plan, now: Plan) {
  const ids = [...new Set([...was.pieces, ...now.pieces].map(({ id }) => id))]
  return ids
    .map(id => ({
      id,
      from: was.pieces.find(piece => piece.id === id),
      to: now.pieces.find(piece => piece.id === id),
    }))
    .filter(({ from, to }) => from?.width.cut !== to?.width.cut || from?.height.cut !== to?.height.cut)
}

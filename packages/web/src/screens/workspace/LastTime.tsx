import {
  departuresFrom,
  namePiece,
  regretsFor,
  roleWords,
  type Departure,
  type Role,
  type Unit,
} from '@snowdrift/core'
import { Link } from 'react-router'
import { useMakesQuery } from '../../api/log-api'
import { Fractions } from '../../parts/Fractions'
import { sayDay } from '../../views/day-words'
import { sayEase } from '../../views/ease-words'
import { useCover } from './cover-context'

/** What was regretted of pieces of this kind, where they are planned again. */
export function Regrets() {
  const { planned, file } = useCover()
  const { data: makes = [] } = useMakesQuery()
  if (!planned.plan) return null
  const regrets = regretsFor({ family: file.family, pieces: planned.plan.pieces.map(({ id }) => id) }, makes)
  if (regrets.length === 0) return null
  return (
    <section aria-label="Last time" className="grid gap-1 border-l-3 border-thread pl-4" data-regrets>
      {regrets.map(({ make, cover, finished, piece, what }) => (
        <p key={`${make} ${what}`}>
          <strong>{piece ? `${namePiece(piece)}: ` : ''}</strong>
          {what}{' '}
          <span className="text-soft">
            ({cover}, {sayDay(finished)})
          </span>
        </p>
      ))}
    </section>
  )
}

/** Where the plan departs from how the last one of its kind was made, and went well. */
export function Departures() {
  const { id, planned, file, unit } = useCover()
  const { data: makes = [] } = useMakesQuery()
  if (!planned.plan) return null
  const roles = file.layers.map(({ role }) => role)
  const from = departuresFrom(
    planned.plan,
    { family: file.family, roles },
    makes.filter(({ coverId }) => coverId !== id),
  )
  if (!from || from.departures.length === 0) return null
  return (
    <p className="border-l-3 border-rule pl-4 text-soft" data-departures>
      Otherwise than your last of this kind,{' '}
      <Link className="text-thread underline" to="/log">
        {from.cover}
      </Link>{' '}
      ({sayDay(from.finished)}):{' '}
      <Fractions text={from.departures.map(one => sayDeparture(one, unit)).join('; ')} />.
    </p>
  )
}

function sayDeparture(departure: Departure, unit: Unit): string {
  switch (departure.kind) {
    case 'ease': {
      const { direction, nowMm, lastMm } = departure
      const where = direction === 'width' ? 'across' : 'in height'
      return `ease ${where} ${sayEase(nowMm, unit)} instead of ${sayEase(lastMm, unit)}`
    }
    case 'layer-gone':
      return `no ${roleWords[departure.layer as Role].toLowerCase()}`
    case 'layer-new':
      return `${roleWords[departure.layer as Role].toLowerCase()} beside it`
  }
}

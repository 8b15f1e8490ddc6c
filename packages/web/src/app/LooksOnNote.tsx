import { useHereQuery } from '../api/api'

/** Says to a guest what they may do, on every screen. */
export default function LooksOnNote() {
  const { data } = useHereQuery()
  const workshop = data?.person?.workshop
  if (!workshop) return null
  return (
    <p role="status" className="no-print border-b border-rule bg-sunken px-4 py-2 text-soft sm:px-6">
      You look on in “<bdi>{workshop.name}</bdi>”: you may try everything, and nothing of it is saved.
    </p>
  )
}

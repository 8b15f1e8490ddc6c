import { Link } from 'react-router'
import { useCoverQuery } from '../api/api'
import { describeError } from '../api/describe-error'

interface CoverAwaitedProps {
  readonly id: string
  /** What is fetched, within a sentence. */
  readonly what?: string
}

/** While a cover is on its way; or that there is none, with the way to those that there are. */
export function CoverAwaited({ id, what = 'the cover' }: CoverAwaitedProps) {
  const { error } = useCoverQuery(id)
  if (!error) return <p className="text-soft">Fetching {what} …</p>
  return (
    <div role="alert" className="grid gap-3">
      <p className="text-lg">{describeError(error)}</p>
      <Link className="text-thread underline" to="/">
        To the shelf
      </Link>
    </div>
  )
}

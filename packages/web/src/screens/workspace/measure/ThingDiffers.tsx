import { sayObjectUnit } from '@snowdrift/core'
import { oneStep } from '../../../drafts/draft'
import { Button } from '../../../parts/Button'
import { useCover } from '../cover-context'

/** A cover keeps the readings it was planned from; where the thing has others since, the maker says which hold. */
export function ThingDiffers() {
  const { thing, unit, file, change } = useCover()
  const { draft, isParted, keepThese } = thing
  if (!isParted || !draft) return null
  const { name, unit: written, object } = draft.body
  const takeIts = () =>
    change(oneStep, current => ({
      ...current,
      object: written === (file.unit ?? unit) ? object : sayObjectUnit(object, written),
    }))
  return (
    <div className="flex flex-wrap items-center gap-3 border-l-3 border-thread py-1 pl-3">
      <p>
        <strong>{name}</strong> has other readings by now than this cover was planned from.
      </p>
      <Button onClick={keepThese}>These hold</Button>
      <Button look="quiet" onClick={takeIts}>
        Take its readings
      </Button>
    </div>
  )
}
